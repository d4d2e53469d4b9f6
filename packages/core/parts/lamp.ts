import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { ohmsAt } from './coil'
import { fixed } from './contact'
import { opens } from './fault'
import type { PartKind } from './kind'

/** An indicator lamp. */
export const lamp: PartKind = {
  kind: 'lamp',
  words: 'lamp',
  cause: 'board',
  symbol: 'lamp',
  settings: { volts: 24, ohms: 2400 },
  madeFor: { circuit: 'control', at: (volts) => ({ volts, ohms: ohmsAt(volts, 24, 2400) }) },
  terminals: () => [
    { name: '1', words: 'lamp, hot' },
    { name: '2', words: 'lamp, common' },
  ],
  branches: (s) => [fixed('light', '1', '2', 'load', impedance(complex(s.number('ohms')), s.number('ohms')))],
  senses: () => ({ volts: ['light'], steps: { light: [] } }),
  faults: () => [opens('light', 'lamp dead', 1)],
  looks: (now) => [now.volts.light.size > 0.6 * now.settings.number('volts') ? 'lamp-on' : 'lamp-off'],
}
