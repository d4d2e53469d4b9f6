import { plainThing } from './plain'

/** The refrigerant of one stage: a context for an electrical verdict, no charging guide. */
export const refrigerantCircuit = plainThing({
  kind: 'refrigerant-circuit',
  cause: 'charge',
  words: 'refrigerant circuit',
  symbol: 'valve',
  good: 'charged',
  icesWhen: 'starved',
  faults: [
    {
      name: 'low',
      class: 'fouled',
      words: 'charge low or gone: low-pressure side starves',
      prior: 1.8,
      state: 'oily',
      cause: 'a leak: look for oil',
      prove: 'pressures and superheat, by someone licensed for it',
    },
  ],
})
