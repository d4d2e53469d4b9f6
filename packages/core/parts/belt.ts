import { plainThing } from './plain'

/** The belt between blower motor and blower. */
export const belt = plainThing({
  kind: 'belt',
  words: 'blower belt',
  symbol: 'motor',
  good: 'whole',
  faults: [
    {
      name: 'off',
      words: 'blower belt broken or off: the motor turns, the blower does not',
      prior: 1.6,
      state: 'broken',
      cause: 'age, a seized bearing, a pulley out of line',
      prove: 'turn the blower by hand, power off and locked',
    },
  ],
})
