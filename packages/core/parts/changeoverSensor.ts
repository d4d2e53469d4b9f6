import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'
import { feelsTemperature, temperatureFelt, touchEffects, untouched } from './touch'

/** Strap-on pipe sensor of a two-pipe system: `COM` to `COLD` on a cold pipe, to `HOT` on a warm one. */
export const changeoverSensor: PartKind = {
  kind: 'changeover-sensor',
  words: 'pipe changeover sensor',
  cause: 'changeover',
  symbol: 'sensor',
  throws: () => [['cold'], ['hot']],
  landings: () => [
    {
      terminals: ['COLD', 'HOT'],
      prior: 0.06,
      by: { is: 'lead' },
      cause: 'miswired at the last work',
      prove: 'follow the lead to its terminal',
    },
  ],
  dials: { opensAbove: { words: 'opens above', unit: '°F' } },
  settings: { opensAbove: 75, reads: 'pipe', ...untouched },
  terminals: () => [
    { name: 'COM', words: 'common' },
    { name: 'COLD', words: 'closed on a cold pipe' },
    { name: 'HOT', words: 'closed on a warm pipe' },
  ],
  branches: () => [contact('cold', 'COM', 'COLD', 'closed'), contact('hot', 'COM', 'HOT', 'open')],
  behave: (now) => {
    const cold = temperatureFelt(now, 46) < now.settings.number('opensAbove')
    return { cold: position(cold), hot: position(!cold) }
  },
  faults: () => [
    {
      name: 'stuck-hot',
      class: 'stuck',
      words: 'changeover stuck in its hot position',
      prior: 1.4,
      cause: 'rusted in place',
      prove: 'cool it and watch its contact change over',
      effects: [
        { does: 'hold', branch: 'cold', state: 'open' },
        { does: 'hold', branch: 'hot', state: 'closed' },
      ],
    },
    {
      name: 'stuck-cold',
      class: 'stuck',
      words: 'changeover stuck in its cold position',
      prior: 1.4,
      cause: 'rusted in place',
      prove: 'warm it and watch its contact change over',
      effects: [
        { does: 'hold', branch: 'cold', state: 'closed' },
        { does: 'hold', branch: 'hot', state: 'open' },
      ],
    },
    opens('cold', 'changeover’s cold contact does not make', 1),
    opens('hot', 'changeover’s hot contact does not make', 0.8),
    sticks('hot-stuck', ['hot'], 'closed', 'changeover’s hot contact stuck closed', 0.3),
  ],
  touched: touchEffects,
  feels: feelsTemperature,
  testBridge: 'momentary',
}
