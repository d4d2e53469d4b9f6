import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed } from './contact'
import { toFrame } from './frame'
import { grounds, opens } from './fault'
import type { PartKind } from './kind'
import { forLineVolts } from './lineVolts'
import type { Settings } from './settings'

const delta = (s: Settings): boolean => s.text('wiring') === 'delta'
const ends = [
  ['1', '2'],
  ['2', '3'],
  ['3', '1'],
] as const

/** Three heater elements in delta or wye: `watts` in all at `volts` leg to leg. */
export const heaterBank: PartKind = {
  kind: 'heater-bank',
  words: 'heater bank',
  cause: 'elements',
  symbol: 'heater',
  threePhase: true,
  likelier: ['cold-weather'],
  // a few per cent off its watts, and now and then an element fewer or more than drawn
  drawn: { mean: 0, spread: 0.2 },
  bearsVolts: (s) => s.number('volts'),
  ratings: [
    ['watts', 'Watts'],
    ['volts', 'Volts'],
    ['wiring', 'Wiring'],
  ],
  settings: { watts: 15000, volts: 480, wiring: 'delta' },
  madeFor: forLineVolts,
  terminals: () => ['1', '2', '3'].map((name) => ({ name, words: `heater bank, leg ${name}` })),
  branches: (s) => {
    const ohms = (s.number('volts') ** 2 * (delta(s) ? 3 : 1)) / s.number('watts')
    const law = impedance(complex(ohms), ohms)
    return [
      toFrame('1'),
      ...ends.map(([from, to], k) =>
        delta(s)
          ? fixed(`element${k + 1}`, from, to, 'load', law)
          : fixed(`element${k + 1}`, from, '~star', 'load', law),
      ),
    ]
  },
  faults: () => [
    ...[1, 2, 3].map((n) =>
      opens(`element${n}`, `heater element ${n} open`, 1.5, {
        prove: 'amps of the three legs; ohms leg to leg, isolated',
      }),
    ),
    grounds('1', 'heater element touches its frame', 0.5, { breaksDown: true }),
  ],
  pairs: () => [
    ['1', '2'],
    ['2', '3'],
    ['1', '3'],
  ],
}
