import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'

/** Closes when the motor named by `follows` turns: proves draft, air or flow. */
export const draftSwitch: PartKind = {
  kind: 'draft-switch',
  words: 'proving switch',
  cause: 'gas',
  symbol: 'pressure',
  guard: true,
  settings: { follows: '' },
  terminals: () => [
    { name: '1', words: 'proving switch, in' },
    { name: '2', words: 'proving switch, out' },
  ],
  branches: () => [contact('contact', '1', '2', 'open')],
  behave: (now) => ({ contact: position(now.followed === 'turning' || now.followed === 'running') }),
  faults: () => [
    opens('contact', 'proving switch does not make', 1.8, {
      cause: 'hose off or split, blocked flue, water in the hose',
    }),
    sticks('stuck', ['contact'], 'closed', 'proving switch stuck closed', 0.4),
  ],
  testBridge: 'never',
}
