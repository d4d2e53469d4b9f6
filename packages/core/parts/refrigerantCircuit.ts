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
      prior: 1.2,
      state: 'oily',
      cause: 'a leak: look for oil',
      prove: 'pressures and superheat, by someone licensed for it',
    },
    {
      name: 'short',
      class: 'fouled',
      words: 'charge a little low: all runs, and it cools or heats too little',
      prior: 0.6,
      state: 'oily',
      silent: true,
      weakens: true,
      cause: 'a leak: look for oil',
      prove: 'pressures and superheat, by someone licensed for it',
    },
  ],
})
