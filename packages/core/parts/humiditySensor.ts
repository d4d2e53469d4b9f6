import { opened, directResistance } from '../electric/law'
import { readsWrong, opens } from './fault'
import type { Branch, PartKind } from './kind'

/** Volts and load resistance of the input that feeds the sensor. */
export const humidityLoop = { volts: 10, ohms: 250 } as const

/** Loop current at a relative humidity, amperes: 4–20 mA over 0–100 %. */
export const humidityAmps = (percent: number): number =>
  (4 + 0.16 * Math.min(100, Math.max(0, percent))) / 1000

/** Relative humidity that a controller takes a loop current for, per cent. */
export const humidityOfAmps = (amps: number): number => Math.min(100, Math.max(0, (amps * 1000 - 4) / 0.16))

const ohmsAt = (percent: number): number => humidityLoop.volts / humidityAmps(percent) - humidityLoop.ohms

/**
 * A humidity sensor, 4–20 mA in the two leads that feed it; the wrong way round it passes nothing and reads
 * dry.
 */
export const humiditySensor: PartKind = {
  kind: 'humidity-sensor',
  words: 'humidity sensor',
  cause: 'economizer',
  symbol: 'sensor',
  polarity: {
    plus: '1+',
    minus: '1-',
    prior: 1.2,
    cause: 'lead colours that do not match at a joint',
    prove: 'follow both leads to their terminals; direct volts across the sensor',
  },
  settings: { reads: 'outdoorHumidity' },
  terminals: () => [
    { name: '1+', words: 'sensor +' },
    { name: '1-', words: 'sensor −' },
  ],
  branches: (s, conditions): readonly Branch[] => [
    {
      name: 'element',
      from: '1+',
      to: '1-',
      role: 'sensor',
      rest: 'blocking',
      states: { passing: directResistance(ohmsAt(conditions[s.text('reads')] ?? 50)), blocking: opened },
    },
  ],
  senses: () => ({ direct: ['element'] }),
  feels: (percent) => [{ does: 'ohms', branch: 'element', ohms: ohmsAt(percent) }],
  behave: (now) => ({ element: now.direct.element > 0.5 ? 'passing' : 'blocking' }),
  faults: () => [
    opens('element', 'sensor open: reads dry', 0.9, { prove: 'loop current against a probe’s humidity' }),
    readsWrong('reads-wet', 'element', ohmsAt(95), 'sensor reads wet', 0.6),
    readsWrong('reads-dry', 'element', ohmsAt(8), 'sensor reads dry', 0.8),
  ],
}
