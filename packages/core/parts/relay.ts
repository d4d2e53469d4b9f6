import { armatureIn, armatureSenses, coilBranch, ohmsAt, unlessHeld } from './coil'
import { contact, position } from './contact'
import { shorts, opens, sticks } from './fault'
import type { Branch, Now, PartFault, PartKind, Wants } from './kind'
import { poleNumbers } from './poles'
import type { Settings } from './settings'

const poles = (s: Settings): readonly number[] => poleNumbers(s.number('poles'))
const throwsTwo = (s: Settings): boolean => s.text('throws') === '2'
const wasIn = (now: Now): boolean => now.is[`made${poles(now.settings)[0]}`] === 'closed'
const isIn = (now: Now): boolean => armatureIn(now.volts.coil, now.settings.number('coilVolts'), wasIn(now))

/** How its contacts stand with the armature in, or out. */
const standsAs = (s: Settings, isMade: boolean): Readonly<Record<string, string>> =>
  Object.fromEntries(
    poles(s).flatMap((n) => [
      [`made${n}`, position(isMade)],
      ...(throwsTwo(s) ? [[`rest${n}`, position(!isMade)]] : []),
    ]),
  )

/** A contact that stays made; the same armature holds its resting contact open. */
const welded = (s: Settings, n: number): PartFault => ({
  name: `made${n}-welded`,
  class: 'stuck',
  words: `relay contact ${n} welded`,
  prior: 1,
  cause: 'a load beyond its rating, or a short',
  welds: true,
  // with nothing to hold open, the armature may drop and leave it behind
  ...(throwsTwo(s) ? {} : { shows: ['dropped-out'] }),
  effects: [
    { does: 'hold', branch: `made${n}`, state: 'closed' },
    ...(throwsTwo(s) ? [{ does: 'hold', branch: `rest${n}`, state: 'open' } as const] : []),
  ],
})

/** A relay that does the same work: as many contacts, a coil for the same volts. */
const passingSettings = (s: Settings): string =>
  ['coilVolts', 'poles', 'throws'].map((name) => `${name} ${s.text(name)}`).join(', ')

/**
 * A relay: coil `A1`–`A2`; per pole a common `COMn`, `NOn`, and with two throws `NCn`. May make and break
 * late.
 */
export const relay: PartKind = {
  kind: 'relay',
  words: 'relay',
  cause: 'board',
  symbol: 'coil',
  breaksLine: true,
  likelier: ['wear'],
  ratings: [
    ['coilVolts', 'Coil volts'],
    ['poles', 'Poles'],
    ['throws', 'Throws'],
  ],
  throws: (s) => (throwsTwo(s) ? [poles(s).map((n) => `made${n}`), poles(s).map((n) => `rest${n}`)] : []),
  // beside one on a board: the call holds both, the contacts of the new one switch what the old ones switched
  passedBy: (s) => ({
    kind: 'relay',
    words: 'External relay',
    settings: passingSettings(s),
    fed: { A1: 'A1', A2: 'A2' },
    moved: { COM1: 'COM1', NO1: 'NO1' },
    alsoMoved: Object.fromEntries(
      poles(s)
        .flatMap((n) => [`COM${n}`, `NO${n}`, `NC${n}`])
        .filter((name) => name !== 'COM1' && name !== 'NO1')
        .map((name) => [name, name]),
    ),
  }),
  lookWords: () => ['pulled-in', 'dropped-out'],
  settings: { poles: 1, throws: '1', coilVolts: 24, va: 3, coilOhms: 70, onDelay: 0, offDelay: 0 },
  madeFor: { circuit: 'control', at: (volts) => ({ coilVolts: volts, coilOhms: ohmsAt(volts, 24, 70) }) },
  moving: 'made1',
  terminals: (s) => [
    { name: 'A1', words: 'coil, call side' },
    { name: 'A2', words: 'coil, common side' },
    ...poles(s).flatMap((n) => [
      { name: `COM${n}`, words: `contact ${n}, common` },
      { name: `NO${n}`, words: `contact ${n}, closed when called` },
      ...(throwsTwo(s) ? [{ name: `NC${n}`, words: `contact ${n}, closed at rest` }] : []),
    ]),
  ],
  branches: (s): readonly Branch[] => [
    coilBranch('coil', 'A1', 'A2', s.number('coilVolts'), s.number('va'), s.number('coilOhms')),
    ...poles(s).flatMap((n) => [
      contact(`made${n}`, `COM${n}`, `NO${n}`, 'open', 0.01),
      ...(throwsTwo(s) ? [contact(`rest${n}`, `COM${n}`, `NC${n}`, 'closed', 0.01)] : []),
    ]),
  ],
  senses: (s) => armatureSenses(s.number('coilVolts')),
  behave: (now): Wants => {
    return standsAs(now.settings, isIn(now))
  },
  fromRest: (now) => unlessHeld(now, wasIn(now), standsAs(now.settings, false)),
  delays: (s) =>
    poles(s)
      .flatMap((n) => [
        { branch: `made${n}`, to: 'closed', seconds: s.number('onDelay') },
        { branch: `made${n}`, to: 'open', seconds: s.number('offDelay') },
      ])
      .filter((delay) => delay.seconds > 0),
  faults: (s): readonly PartFault[] => [
    opens('coil', 'relay coil open', 1.8, { prove: 'ohms across the coil, a lead off' }),
    shorts('coil-shorted', 'coil', 0.5, 'relay coil shorted inside', 1, {
      prove: 'ohms across the coil, a lead off',
      shows: ['charred'],
    }),
    ...poles(s).flatMap((n) => [
      opens(`made${n}`, `relay contact ${n} does not make`, 1.5, {
        prove: 'volts across the contact with the coil in',
        shows: ['burnt'],
      }),
      welded(s, n),
      ...(throwsTwo(s)
        ? [
            opens(`rest${n}`, `relay resting contact ${n} does not make`, 0.8),
            sticks(
              `throws${n}-joined`,
              [`made${n}`, `rest${n}`],
              'closed',
              `both throws of relay contact ${n} joined by weld or char`,
              1,
              { cause: 'a load beyond its rating, heat on the board', shows: ['charred'] },
            ),
          ]
        : []),
    ]),
  ],
  looks: (now) => [now.is[`made${poles(now.settings)[0]}`] === 'closed' ? 'pulled-in' : 'dropped-out'],
}
