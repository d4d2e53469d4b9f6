import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartFault, PartKind } from './kind'
import type { Settings } from './settings'
import { feelsTemperature, temperatureFelt, touchEffects, untouched } from './touch'

/** A second pole keeps a cooling call from a warm pipe. */
const hasColdPole = (s: Settings): boolean => s.number('poles') === 2

const stuck = (s: Settings, at: 'hot' | 'cold', prove: string): PartFault => ({
  name: `stuck-${at}`,
  class: 'stuck',
  words: `changeover stuck in its ${at} position`,
  prior: 1.4,
  cause: 'rusted in place',
  prove,
  effects: [
    { does: 'hold', branch: 'cold', state: at === 'cold' ? 'closed' : 'open' },
    { does: 'hold', branch: 'hot', state: at === 'hot' ? 'closed' : 'open' },
    ...(hasColdPole(s)
      ? [{ does: 'hold', branch: 'cold2', state: at === 'cold' ? 'closed' : 'open' } as const]
      : []),
  ],
})

/**
 * Strap-on pipe sensor of a two-pipe system: `COM` to `COLD` on a cold pipe, to `HOT` on a warm one; with two poles
 * `COM2` to `COLD2` beside it.
 */
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
  settings: { opensAbove: 75, reads: 'pipe', poles: 1, ...untouched },
  terminals: (s) => [
    { name: 'COM', words: 'common' },
    { name: 'COLD', words: 'closed on a cold pipe' },
    { name: 'HOT', words: 'closed on a warm pipe' },
    ...(hasColdPole(s)
      ? [
          { name: 'COM2', words: 'second common' },
          { name: 'COLD2', words: 'second pole, closed on a cold pipe' },
        ]
      : []),
  ],
  branches: (s) => [
    contact('cold', 'COM', 'COLD', 'closed'),
    contact('hot', 'COM', 'HOT', 'open'),
    ...(hasColdPole(s) ? [contact('cold2', 'COM2', 'COLD2', 'closed')] : []),
  ],
  behave: (now) => {
    const cold = temperatureFelt(now, 46) < now.settings.number('opensAbove')
    return {
      cold: position(cold),
      hot: position(!cold),
      ...(hasColdPole(now.settings) ? { cold2: position(cold) } : {}),
    }
  },
  faults: (s) => [
    stuck(s, 'hot', 'cool it and watch its contact change over'),
    stuck(s, 'cold', 'warm it and watch its contact change over'),
    opens('cold', 'changeover’s cold contact does not make', 1),
    opens('hot', 'changeover’s hot contact does not make', 0.8),
    ...(hasColdPole(s) ? [opens('cold2', 'changeover’s second cold contact does not make', 0.6)] : []),
    sticks('hot-stuck', ['hot'], 'closed', 'changeover’s hot contact stuck closed', 0.3),
  ],
  touched: touchEffects,
  feels: feelsTemperature,
  testBridge: 'momentary',
}
