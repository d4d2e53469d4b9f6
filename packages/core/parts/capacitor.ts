import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed } from './contact'
import { shorts, opens } from './fault'
import type { PartKind } from './kind'
import { supplyHertz } from '../physics/supplyHertz'

/** A running capacitor, microfarads. */
export const capacitor: PartKind = {
  kind: 'capacitor',
  words: 'running capacitor',
  cause: 'run-capacitor',
  symbol: 'capacitor',
  likelier: ['wear'],
  storedSeconds: 60,
  ratings: [['microfarads', 'Microfarads']],
  settings: { microfarads: 7.5 },
  terminals: () => [
    { name: '1', words: 'capacitor, common' },
    { name: '2', words: 'capacitor, start side' },
  ],
  branches: (s) => [
    fixed(
      'plates',
      '1',
      '2',
      'load',
      impedance(complex(0.5, -1e6 / (2 * Math.PI * supplyHertz * s.number('microfarads'))), Infinity),
    ),
  ],
  faults: () => [
    opens('plates', 'running capacitor open or lost its value', 2.5, {
      prove: 'discharge it; microfarads against its label',
      shows: ['bulged', 'oily'],
    }),
    shorts('shorted', 'plates', 0.05, 'running capacitor shorted', 0.6, { shows: ['bulged'] }),
  ],
}
