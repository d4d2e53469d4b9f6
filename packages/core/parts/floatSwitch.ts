import { contact, memory, position } from './contact'
import { makesBadly, sticks } from './fault'
import type { PartKind } from './kind'

/** Float switch in the drain pan: `1`–`2` opens on water; the alarm lead `AL` is then joined to `1`. */
export const floatSwitch: PartKind = {
  kind: 'float-switch',
  words: 'float switch',
  cause: 'drain',
  symbol: 'switch',
  firstLook: { words: 'Float switch dry', right: 'dry', wrong: ['wet'] },
  likelier: ['water'],
  lookWords: () => ['tripped', 'set', 'wet', 'dry'],
  settings: {},
  terminals: () => [
    { name: '1', words: 'float switch, in' },
    { name: '2', words: 'float switch, out' },
    { name: 'AL', words: 'float switch, alarm lead' },
  ],
  branches: () => [
    contact('contact', '1', '2', 'closed'),
    contact('alarm', '1', 'AL', 'open'),
    memory('pan', ['wet', 'dry'], 'dry'),
  ],
  behave: (now) => {
    const wet = (now.conditions.panWater ?? 0) > 0
    return { contact: position(!wet), alarm: position(wet), pan: wet ? 'wet' : 'dry' }
  },
  faults: () => [
    {
      name: 'tripped',
      class: 'trip',
      words: 'float switch open on water',
      prior: 3,
      cause: 'blocked trap or line',
      prove: 'is the pan wet?',
      effects: [
        { does: 'hold', branch: 'contact', state: 'open' },
        { does: 'hold', branch: 'alarm', state: 'closed' },
        { does: 'hold', branch: 'pan', state: 'wet' },
      ],
    },
    {
      name: 'contact-open',
      class: 'open',
      words: 'float switch stuck open in a dry pan',
      prior: 1.2,
      cause: 'knocked, dirt under the float',
      prove: 'is the pan wet?',
      effects: [
        { does: 'hold', branch: 'contact', state: 'open' },
        { does: 'hold', branch: 'alarm', state: 'closed' },
      ],
    },
    sticks('stuck', ['contact'], 'closed', 'float switch stuck closed', 0.4),
    makesBadly('contact-high', 'contact', 120, 'float switch makes badly', 0.1),
  ],
  looks: (now) => [now.is.contact === 'open' ? 'tripped' : 'set', now.is.pan],
  testBridge: 'momentary',
}
