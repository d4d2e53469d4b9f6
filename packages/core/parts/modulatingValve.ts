import { complex, impedanceForVoltAmperes } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed, memory } from './contact'
import { opens, shorts } from './fault'
import type { PartKind } from './kind'
import { staysOpen, staysShut } from './solenoid'

const fedAboveVolts = 18
/** Direct volts of its signal from which it is counted as open: the middle of its stroke. */
const opensFromVolts = 5

/** A water valve on 24 V that follows a signal of 0–10 V direct current, and closes without either. */
export const modulatingValve: PartKind = {
  kind: 'modulating-valve',
  words: 'modulating valve actuator',
  cause: 'changeover',
  symbol: 'valve',
  lookWords: () => ['open-drawn', 'shut'],
  ratings: [['va', 'Volt-amperes']],
  settings: { va: 5 },
  moving: 'seat',
  terminals: () => [
    { name: 'R', words: '24 V' },
    { name: 'C', words: 'common' },
    { name: 'S', words: 'signal' },
  ],
  branches: (s) => [
    fixed('motor', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, s.number('va'), 0.7), 60)),
    fixed('signal', 'S', 'C', 'load', impedance(complex(100_000), 100_000)),
    memory('seat', ['shut', 'open'], 'shut'),
  ],
  senses: () => ({ volts: ['motor'], steps: { motor: [fedAboveVolts] }, direct: ['signal'] }),
  behave: (now) => ({
    seat: now.volts.motor.size >= fedAboveVolts && now.direct.signal >= opensFromVolts ? 'open' : 'shut',
  }),
  faults: () => [
    opens('motor', 'valve actuator dead', 1.2, { prove: '24 V on it and its signal, and it does not move' }),
    shorts('motor-shorted', 'motor', 0.4, 'valve actuator shorted inside', 0.4),
    opens('signal', 'valve actuator’s signal input dead', 0.4),
    staysShut('valve has its signal, and does not open', 1.2, {
      cause: 'stem stuck, actuator turned off its stroke',
      prove: 'actuator off: the stem moves by hand; warmth behind the valve',
    }),
    staysOpen('valve does not close', 0.9, {
      cause: 'stem stuck, dirt in the seat',
      prove: 'no signal, and the pipe behind it stays warm or cold',
    }),
  ],
  pairs: () => [['S', 'C']],
  looks: (now) => [now.is.seat === 'open' ? 'open-drawn' : 'shut'],
}
