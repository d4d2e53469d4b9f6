import { plainThing } from './plain'

/** Drain pan, trap and line. */
export const drain = plainThing({
  kind: 'drain',
  words: 'condensate drain',
  symbol: 'valve',
  good: 'running',
  likelier: ['water'],
  firstLook: { words: 'Drain pan and trap in order', right: 'running', wrong: 'blocked' },
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
  ],
})
