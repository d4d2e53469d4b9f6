import { complex, polar, scale } from '../electric/complex'
import { impedance, opened, resistance, self, type Equation, type Term } from '../electric/law'
import { fixed } from './contact'
import type { Effect } from './effect'
import { makesBadly, opens } from './fault'
import type { Branch, PartKind } from './kind'
import type { Settings } from './settings'

/** Magnetising current as a share of rated primary current, and its angle. */
const magnetisingShare = 0.12
const magnetisingDegrees = -72

/**
 * Iron is wound to carry some more than its tap says. From this multiple on it saturates: a lead on the 240 V
 * tap of a 480 V line draws so many times rated amps, until a primary fuse opens.
 */
const saturatesFrom = 1.4
const saturatedShare = 6
const saturatedDegrees = 80

/**
 * Share of the secondary's turns that is left when some are shorted. What the shorted ones draw from the line
 * is left out: they run hot, and burn open before long.
 */
const turnsLeft = {
  'few-turns-short': 0.92,
  'some-turns-short': 0.84,
  'turns-short': 0.75,
  'many-turns-short': 0.58,
  'most-turns-short': 0.4,
} as const
const turnsShort = (state: keyof typeof turnsLeft): readonly Effect[] => [
  { does: 'hold', branch: 'secondaryCore', state },
]

const taps = (s: Settings): readonly number[] => s.list('taps').map(Number)
const pairsAmong = (names: readonly string[]): readonly (readonly [string, string])[] =>
  names.flatMap((a, k) => names.slice(k + 1).map((b) => [a, b] as const))
const core = (k: number): string => `core${k + 1}`

/**
 * Control transformer: an ideal ratio by primary tap behind a series secondary resistance, such that rated
 * load
 * gives rated volts and no load gives rated × (1 + regulation). The taps are one winding, so an unused tap
 * carries its volts too. `COM` and `P<volts>` are primary, `S1`–`S2` secondary.
 */
export const transformer: PartKind = {
  kind: 'transformer',
  words: 'control transformer',
  cause: 'transformer',
  symbol: 'transformer',
  bearsVolts: (s) => Math.max(...taps(s)),
  fullLoadAmps: (s) => s.number('va') / s.number('secondary'),
  ratings: [
    ['va', 'Volt-amperes'],
    ['taps', 'Primary taps'],
    ['secondary', 'Secondary volts'],
  ],
  landings: (s) => [
    {
      terminals: taps(s).map((volts) => `P${volts}`),
      prior: 1.2,
      by: { is: 'tap', words: (terminal) => `primary lead on tap ${terminal.slice(1)} V` },
      cause: 'left as delivered, or a replacement wired like the old one',
      prove: 'compare the tap with the measured supply',
    },
  ],
  poles: (s) => [['S1', 'S2'], ...pairsAmong(['COM', ...taps(s).map((volts) => `P${volts}`)])],
  beforeEnergising: () => 'Find the short that took it: ohms R to C and to ground with the secondary lifted.',
  settings: { va: 40, taps: '208,240', secondary: 24, regulation: 0.1 },
  terminals: (s) => [
    { name: 'COM', words: 'primary common' },
    ...taps(s).map((volts) => ({ name: `P${volts}`, words: `primary tap ${volts} V` })),
    { name: 'S1', words: 'secondary, hot side' },
    { name: 'S2', words: 'secondary, common side' },
  ],
  branches: (s) => {
    const turns = taps(s).map((volts, k) => volts - (k === 0 ? 0 : taps(s)[k - 1]))
    const secondaryVolts = s.number('secondary')
    const seriesOhms = (s.number('regulation') * secondaryVolts ** 2) / s.number('va')
    const secondaryTurns = secondaryVolts * (1 + s.number('regulation'))
    const magnetising = polar((magnetisingShare * s.number('va')) / turns[0] ** 2, magnetisingDegrees)
    const balance: Equation = {
      emf: complex(0),
      terms: [
        { of: self, volts: scale(magnetising, turns[0]), ohms: complex(turns[0]) },
        ...turns.slice(1).map((n, k): Term => ({ of: core(k + 1), volts: complex(0), ohms: complex(n) })),
        { of: 'secondaryCore', volts: complex(0), ohms: complex(secondaryTurns) },
      ],
    }
    const follows = (n: number, ohms: number): Equation => ({
      emf: complex(0),
      terms: [
        { of: self, volts: complex(1), ohms: complex(ohms) },
        { of: core(0), volts: complex(-n / turns[0]), ohms: complex(0) },
      ],
    })
    // half of what the regulation says is in either winding, and a tap has the share of the turns before it
    const primaryOhms = (volts: number): number => (s.number('regulation') * volts ** 2) / s.number('va') / 2
    const tapOhms = taps(s).map(
      (volts, k) => primaryOhms(volts) - (k === 0 ? 0 : primaryOhms(taps(s)[k - 1])),
    )
    const secondaryOhms = seriesOhms / 2
    const nothing = resistance(0.01).dc
    return [
      fixed('primary', 'COM', '~p', 'winding', impedance(complex(0.01), 0.01)),
      ...turns.map((n, k): Branch =>
        fixed(
          core(k),
          k === 0 ? `P${taps(s)[0]}` : `P${taps(s)[k]}`,
          k === 0 ? '~p' : `P${taps(s)[k - 1]}`,
          'winding',
          { ac: k === 0 ? balance : follows(n, 0.01), dc: resistance(tapOhms[k]).dc },
        ),
      ),
      {
        name: 'iron',
        from: `P${taps(s)[0]}`,
        // behind what opens when the winding does: iron that nothing magnetises draws nothing
        to: '~p',
        role: 'winding',
        rest: 'usual',
        states: {
          usual: opened,
          saturated: impedance(
            polar(turns[0] ** 2 / (saturatedShare * s.number('va')), saturatedDegrees),
            Infinity,
          ),
        },
      },
      {
        name: 'secondaryCore',
        from: '~s',
        to: 'S2',
        role: 'winding',
        rest: 'whole',
        states: Object.fromEntries(
          Object.entries({ whole: 1, ...turnsLeft }).map(([state, share]) => [
            state,
            { ac: follows(share * secondaryTurns, seriesOhms), dc: nothing },
          ]),
        ),
      },
      fixed('secondary', 'S1', '~s', 'winding', impedance(complex(0.001), secondaryOhms)),
    ]
  },
  senses: (s) => ({ volts: [core(0)], steps: { [core(0)]: [saturatesFrom * taps(s)[0]] } }),
  behave: (now) => ({
    iron: Object.values(now.volts).some(({ size }) => size > saturatesFrom * taps(now.settings)[0])
      ? 'saturated'
      : 'usual',
  }),
  faults: () => [
    opens('primary', 'primary winding open', 3, {
      cause: 'a short on the secondary, or overload',
      prove: 'ohms across the primary, isolated',
      shows: ['charred'],
    }),
    opens('secondary', 'secondary winding open', 2, {
      cause: 'a short on the secondary with no fuse',
      prove: 'ohms across the secondary, isolated',
      shows: ['charred'],
    }),
    {
      name: 'secondary-turns-short',
      class: 'short',
      words: 'turns of the secondary shorted: low volts, with no load too',
      prior: 0.5,
      effects: turnsShort('turns-short'),
      ends: {
        least: turnsShort('few-turns-short'),
        less: turnsShort('some-turns-short'),
        more: turnsShort('many-turns-short'),
        most: turnsShort('most-turns-short'),
      },
      cause: 'overload or age: insulation of the winding gone',
      prove: 'volts of the secondary with its leads lifted, at the right tap',
      shows: ['charred'],
    },
    makesBadly('secondary-weak', 'secondary', 5, 'secondary connection or turns burnt: sags under load', 0.6),
  ],
  pairs: (s) => [...taps(s).map((volts) => ['COM', `P${volts}`] as const), ['S1', 'S2']],
}
