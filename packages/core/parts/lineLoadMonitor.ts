import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { contact, fixed, position } from './contact'
import { opens, sticks } from './fault'
import type { Now, PartKind } from './kind'
import { forLineVolts } from './lineVolts'
import { otherVolts, phasesAreGood } from './phaseMonitor'

const presentShare = 0.5
const calledAboveVolts = 14

/** Volts behind the contactor with no call to it. */
const stuck = (now: Now): boolean =>
  now.volts.call.size <= calledAboveVolts &&
  [now.volts.load12, now.volts.load23, now.volts.load31].some(
    (leg) => leg.size > presentShare * now.settings.number('volts'),
  )

const right = (now: Now): boolean =>
  !stuck(now) &&
  phasesAreGood(
    now.volts.line12,
    now.volts.line23,
    now.volts.line31,
    now.settings.number('volts'),
    now.settings.number('unbalance'),
  )

/**
 * Phase monitor on line and load of a contactor: also sees a pole that stays closed with no call on `Y`–`C`.
 */
export const lineLoadMonitor: PartKind = {
  kind: 'line-load-monitor',
  words: 'line and load phase monitor',
  cause: 'phase',
  symbol: 'control',
  guard: true,
  dials: {
    volts: { words: 'set for nominal', unit: 'V' },
    unbalance: { words: 'unbalance at which it trips', unit: '%' },
    delay: { words: 'delay before it trips', unit: 's' },
  },
  settings: { volts: 480, unbalance: 4, delay: 5 },
  madeFor: forLineVolts,
  terminals: () => [
    ...[1, 2, 3].map((n) => ({ name: `L${n}`, words: `line leg ${n}` })),
    ...[1, 2, 3].map((n) => ({ name: `T${n}`, words: `load leg ${n}` })),
    { name: 'Y', words: 'call' },
    { name: 'C', words: 'common' },
    { name: 'COM', words: 'contact, common' },
    { name: 'NO', words: 'contact, closed when all is right' },
  ],
  branches: () => [
    ...['line', 'load'].flatMap((side) =>
      [
        ['1', '2'],
        ['2', '3'],
        ['3', '1'],
      ].map(([a, b]) => {
        const letter = side === 'line' ? 'L' : 'T'
        return fixed(
          `${side}${a}${b}`,
          `${letter}${a}`,
          `${letter}${b}`,
          'load',
          impedance(complex(150_000), 150_000),
        )
      }),
    ),
    fixed('call', 'Y', 'C', 'load', impedance(complex(3000), 3000)),
    contact('contact', 'COM', 'NO', 'open'),
  ],
  senses: () => ({ volts: ['line12', 'line23', 'line31', 'load12', 'load23', 'load31', 'call'] }),
  behave: (now) => ({ contact: position(right(now)) }),
  delays: (s) => [{ branch: 'contact', to: 'closed', seconds: s.number('delay') }],
  faults: (s) => [
    opens('contact', 'monitor’s contact does not make', 1.5),
    sticks('welded', ['contact'], 'closed', 'monitor’s contact stuck closed', 0.2),
    {
      name: 'set-narrow',
      class: 'setting',
      words: 'set for other volts than these, or too narrow',
      prior: 0.5,
      effects: [{ does: 'set', part: '', setting: 'volts', to: otherVolts(s) }],
    },
  ],
  pairs: () => [
    ['L1', 'L2'],
    ['L2', 'L3'],
    ['L1', 'L3'],
    ['T1', 'T2'],
    ['T2', 'T3'],
    ['T1', 'T3'],
  ],
  looks: (now) => [right(now) ? 'lamp-on' : 'lamp-off'],
  code: (now) =>
    right(now)
      ? 'steady'
      : now.volts.line12.size < 0.3 * now.settings.number('volts') &&
          now.volts.line23.size < 0.3 * now.settings.number('volts')
        ? 'dark'
        : stuck(now)
          ? 'fast'
          : 'flashing',
  testBridge: 'never',
}
