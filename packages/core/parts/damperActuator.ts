import { complex, impedanceForVoltAmperes } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed } from './contact'
import { shorts, opens } from './fault'
import type { PartKind } from './kind'

/** A damper actuator on 24 V with a 2–10 V direct-current signal. */
export const damperActuator: PartKind = {
  kind: 'damper-actuator',
  words: 'damper actuator',
  cause: 'economizer',
  symbol: 'motor',
  lookWords: () => ['open-drawn', 'shut'],
  putBack: { id: 'damper', words: 'Outside-air damper where it should be' },
  settings: { va: 6 },
  terminals: () => [
    { name: 'R', words: '24 V' },
    { name: 'C', words: 'common' },
    { name: 'S+', words: 'signal +' },
    { name: 'S-', words: 'signal −' },
  ],
  branches: (s) => [
    fixed('motor', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, s.number('va'), 0.7), 60)),
    fixed('signal', 'S+', 'S-', 'load', impedance(complex(100_000), 100_000)),
  ],
  senses: () => ({ volts: ['motor'], steps: { motor: [] }, direct: ['signal'] }),
  faults: () => [
    opens('motor', 'actuator dead', 1),
    shorts('motor-shorted', 'motor', 0.4, 'actuator shorted inside', 0.4),
    opens('signal', 'actuator’s signal input dead', 0.4),
  ],
  pairs: () => [['S+', 'S-']],
  looks: (now) => (now.volts.motor.size > 18 && now.direct.signal > 6 ? ['open-drawn'] : ['shut']),
}
