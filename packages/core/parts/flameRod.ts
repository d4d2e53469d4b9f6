import { directSource, opened } from '../electric/law'
import { flameOhms, flameVolts } from '../physics/flameCurrent'
import { grounds, misset } from './fault'
import type { PartKind } from './kind'

/** Microamperes that a clean rod and a dirty one leave in a steady flame. */
const clean = 4
const dirty = 0.4

/**
 * Flame rod: in the flame of the burner that it follows, a direct current of microamperes flows from it to
 * metal.
 */
export const flameRod: PartKind = {
  kind: 'flame-rod',
  words: 'flame rod',
  cause: 'gas',
  symbol: 'sensor',
  settings: { follows: '', surface: 'clean' },
  terminals: () => [{ name: '1', words: 'flame rod' }],
  branches: () => [
    {
      name: 'flame',
      from: '1',
      to: 'EARTH',
      role: 'output',
      rest: 'out',
      states: {
        out: opened,
        strong: directSource(flameVolts(clean), flameOhms),
        weak: directSource(flameVolts(dirty), flameOhms),
      },
    },
  ],
  behave: (now) => {
    const strength = now.settings.text('surface') === 'clean' ? 'strong' : 'weak'
    return { flame: now.followed === 'lit' ? strength : 'out' }
  },
  faults: () => [
    misset('dirty', 'surface', 'dirty', 'dirty: the flame burns and is not proven', 3, {
      class: 'fouled',
      cause: 'soot, oxide, a coat from household vapours; a burner that touches the rod no more',
      prove: 'volts DC from flame sense to common while it burns; polish the rod and read again',
    }),
    grounds('1', 'on metal: porcelain cracked, or bent against the burner', 1, {
      prove: 'ohms from rod to metal, its lead off',
    }),
  ],
}
