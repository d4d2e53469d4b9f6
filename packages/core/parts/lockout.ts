import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'
import { temperatureFelt, touchEffects, untouched } from './touch'

/** Low-ambient lockout: opens below its setting so that a compressor does not run in the cold. */
export const lockout: PartKind = {
  kind: 'lockout',
  words: 'low-ambient lockout',
  cause: 'charge',
  symbol: 'limit',
  likelier: ['cold-weather'],
  dials: { opensBelow: { words: 'opens below', unit: '°F' } },
  settings: { opensBelow: 45, reads: 'outdoorDryBulb', ...untouched },
  terminals: () => [
    { name: '1', words: 'lockout in' },
    { name: '2', words: 'lockout out' },
  ],
  branches: () => [contact('contact', '1', '2', 'closed')],
  behave: (now) => ({ contact: position(temperatureFelt(now, 77) >= now.settings.number('opensBelow')) }),
  faults: () => [
    opens('contact', 'low-ambient lockout open when it should be closed', 2, {
      prove: 'warm it, or join across it for a moment with the outdoor temperature above its setting',
    }),
    sticks('stuck', ['contact'], 'closed', 'low-ambient lockout stuck closed', 0.3),
  ],
  touched: touchEffects,
  testBridge: 'momentary',
}
