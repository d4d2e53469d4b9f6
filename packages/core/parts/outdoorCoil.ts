import { plainThing } from './plain'

/** Condenser or outdoor coil with its free air. */
export const outdoorCoil = plainThing({
  kind: 'outdoor-coil',
  cause: 'air',
  words: 'outdoor coil',
  symbol: 'valve',
  good: 'clean',
  likelier: ['hot-weather'],
  firstLook: { words: 'Coil clean, not iced', right: 'clean', wrong: ['dirty', 'iced'] },
  icesWhen: 'not-defrosted',
  faults: [
    {
      name: 'blocked',
      class: 'fouled',
      words: 'outdoor coil blocked: pressure climbs',
      prior: 1.4,
      state: 'dirty',
      weakens: true,
      cause: 'lint, dust, ice, a panel of cardboard',
      prove: 'look through the fins against the light',
    },
  ],
})
