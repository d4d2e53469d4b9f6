import type { PartKind } from './kind'
import { plainThing } from './plain'

/** The belt between blower motor and blower. */
export const belt: PartKind = {
  ...plainThing({
    kind: 'belt',
    cause: 'air',
    words: 'blower belt',
    symbol: 'motor',
    good: 'whole',
    firstLook: { words: 'Belt whole and tight', right: 'whole', wrong: ['broken'] },
    faults: [
      {
        name: 'off',
        class: 'fouled',
        words: 'blower belt broken or off: the motor turns, the blower does not',
        prior: 1.6,
        state: 'broken',
        cause: 'age, a seized bearing, a pulley out of line',
        prove: 'turn the blower by hand, power off and locked',
      },
    ],
  }),
  passesAir: true,
}
