import { resistance } from '../electric/law'
import { fixed } from './contact'
import type { PartKind } from './kind'

/** Where a conductor is bonded to the metal of the unit. */
export const chassis: PartKind = {
  kind: 'chassis',
  words: 'ground screw',
  cause: 'wires',
  symbol: 'terminal',
  settings: { screws: '1' },
  terminalsNamedBy: 'screws',
  terminals: (s) => s.list('screws').map((name) => ({ name, words: `ground screw ${name}` })),
  branches: (s) =>
    s.list('screws').map((name) => fixed(`bond${name}`, name, 'EARTH', 'conductor', resistance(0.005))),
  faults: () => [],
}
