import type { PartKind } from './kind'
import { plainThing } from './plain'

/** The return-air filter: blocked, it starves the coil or the heater of air. */
export const airFilter: PartKind = {
  ...plainThing({
    kind: 'air-filter',
    cause: 'air',
    words: 'air filter',
    symbol: 'switch',
    good: 'clean',
    firstLook: { words: 'Filters clean', right: 'clean', wrong: ['dirty'] },
    faults: [
      {
        name: 'blocked',
        class: 'fouled',
        words: 'air filter blocked: no air over the coil or heater',
        prior: 2.2,
        state: 'dirty',
        cause: 'nobody changed it',
        prove: 'take it out and look through it',
      },
    ],
  }),
  passesAir: true,
}
