import { contact } from './contact'
import { opens } from './fault'
import type { PartKind } from './kind'

/** Opens the circuit when its panel is off. */
export const doorSwitch: PartKind = {
  kind: 'door-switch',
  words: 'door switch',
  cause: 'wires',
  symbol: 'switch',
  settings: {},
  terminals: () => [
    { name: '1', words: 'door switch, feed' },
    { name: '2', words: 'door switch, out' },
  ],
  branches: () => [contact('contact', '1', '2', 'closed')],
  faults: () => [
    opens('contact', 'door switch does not make', 2.5, {
      cause: 'panel not pushed home, or a bent plunger',
      prove: 'push the panel home and read again',
    }),
  ],
  testBridge: 'never',
}
