import { windingsFirst } from './energising'
import type { PartFault, PartKind } from './kind'
import { forLineVolts } from './lineVolts'

/** What holds for every motor, however it is wound. */
export const everyMotor = {
  symbol: 'motor',
  likelier: ['wear'],
  // over the weather of a year, and the pressure in the ducts
  drawn: { mean: -0.2, spread: 0.17 },
  bearsVolts: (s) => s.number('volts'),
  ratings: [
    ['volts', 'Volts'],
    ['amps', 'Rated amps'],
  ],
  runsAloud: true,
  beforeEnergising: windingsFirst,
  madeFor: forLineVolts,
  moving: 'rotor',
} as const satisfies Partial<PartKind>

/** Its inner protector has opened: it closes again when the motor has cooled. */
export const protectorOpen = (words: string, cause: string, branches: readonly string[]): PartFault => ({
  name: 'protector-open',
  class: 'trip',
  words: `${words} open on its inner protector`,
  prior: 1.5,
  cause,
  clears: ['wait'],
  effects: branches.map((branch) => ({ does: 'open', branch })),
})
