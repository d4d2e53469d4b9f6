import { resistance } from '../electric/law'
import { fixed } from './contact'
import { opens } from './fault'
import type { PartKind } from './kind'

/** A factory jumper: stands for an option that this unit does not have. */
export const jumper: PartKind = {
  kind: 'jumper',
  words: 'factory jumper',
  cause: 'wires',
  symbol: 'jumper',
  settings: { for: 'option not fitted' },
  terminals: () => [
    { name: '1', words: 'side 1' },
    { name: '2', words: 'side 2' },
  ],
  branches: () => [fixed('link', '1', '2', 'conductor', resistance(0.01))],
  faults: (s) => [
    opens('link', `jumper for ${s.text('for')} missing or loose`, 1, {
      class: 'loose',
      cause: 'pulled while another option was looked for',
    }),
  ],
}
