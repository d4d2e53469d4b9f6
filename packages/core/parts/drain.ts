import { plainThing } from './plain'

/** Drain pan, trap and line. */
export const drain = plainThing({
  kind: 'drain',
  putBack: { id: 'drain', words: 'Drain runs' },
  cause: 'drain',
  words: 'condensate drain',
  symbol: 'valve',
  good: 'running',
  likelier: ['water'],
  firstLook: { words: 'Drain pan and trap in order', right: 'running', wrong: ['blocked'] },
  faults: [
    {
      name: 'blocked',
      class: 'fouled',
      words: 'drain, trap or line blocked: water in the pan',
      prior: 2.6,
      state: 'blocked',
      cause: 'slime, a dry or missing trap, a crushed line',
      prove: 'pour water into the pan and watch it go',
    },
    {
      name: 'casing',
      class: 'fouled',
      words: 'drain openings of the coil casing blocked: water runs over before it reaches the pan',
      prior: 1.2,
      // what is below runs freely, and stays dry
      state: 'running',
      silent: true,
      cause: 'rust, insulation or slime in the openings of the casing',
      prove: 'pour water over the coil and see where it leaves the casing',
    },
  ],
})
