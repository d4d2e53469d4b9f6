import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'

/** It opens again so many per cent below where it closes. */
const differential = 5

/** Humidistat: closes on a rise of relative humidity above its setting; terminals `1` (in) and `2` (out). */
export const humidistat: PartKind = {
  kind: 'humidistat',
  words: 'humidistat',
  cause: 'thermostat',
  symbol: 'limit',
  dials: { closesAbove: { words: 'closes above', unit: '% humidity' } },
  settings: { closesAbove: 55, reads: 'returnHumidity' },
  terminals: () => [
    { name: '1', words: 'humidistat in' },
    { name: '2', words: 'humidistat out' },
  ],
  branches: () => [contact('contact', '1', '2', 'open')],
  behave: (now) => {
    const above = now.settings.number('closesAbove')
    const turningPoint = now.is.contact === 'closed' ? above - differential : above
    return { contact: position((now.conditions[now.settings.text('reads')] ?? 0) > turningPoint) }
  },
  faults: () => [
    opens('contact', 'humidistat open when it should be closed', 1, {
      prove: 'set it far below the humidity that a hygrometer shows: it closes',
    }),
    sticks('stuck', ['contact'], 'closed', 'humidistat stuck closed', 0.4, {
      prove: 'set it far above the humidity that a hygrometer shows: it opens',
    }),
  ],
  testBridge: 'momentary',
}
