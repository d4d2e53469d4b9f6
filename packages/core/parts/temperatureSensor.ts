import { directResistance } from '../electric/law'
import { fixed } from './contact'
import type { Effect } from './effect'
import { readsWrong, opens } from './fault'
import type { PartKind } from './kind'
import type { Settings } from './settings'
import { thermistorOhms } from '../physics/thermistor'
import { handTemperature } from './touch'

const lyingIn = (fahrenheit: number, s: Settings): readonly Effect[] => [
  { does: 'ohms', branch: 'element', ohms: thermistorOhms(s.text('family'), fahrenheit) },
]

/** A 10 kΩ thermistor; `reads` names the condition that it lies in. */
export const temperatureSensor: PartKind = {
  kind: 'temperature-sensor',
  words: 'temperature sensor',
  cause: 'economizer',
  symbol: 'sensor',
  ratings: [['family', 'Thermistor family']],
  settings: { reads: 'outdoorDryBulb', family: '2' },
  terminals: () => [
    { name: '1', words: 'sensor lead 1' },
    { name: '2', words: 'sensor lead 2' },
  ],
  branches: (s, conditions) => [
    fixed(
      'element',
      '1',
      '2',
      'sensor',
      directResistance(thermistorOhms(s.text('family'), conditions[s.text('reads')] ?? 77)),
    ),
  ],
  touched: (verb, s) => lyingIn(handTemperature(verb), s),
  feels: lyingIn,
  faults: (s) => [
    opens('element', 'sensor open: reads far too cold', 1.2, {
      prove: 'ohms across the sensor, its leads off, against its table',
    }),
    readsWrong('shorted', 'element', 5, 'sensor shorted: reads far too hot', 0.8),
    readsWrong(
      'drifted-cold',
      'element',
      thermistorOhms(s.text('family'), 45),
      'sensor drifted: reads about 45 °F',
      0.5,
    ),
    readsWrong(
      'drifted-hot',
      'element',
      thermistorOhms(s.text('family'), 110),
      'sensor drifted: reads about 110 °F',
      0.5,
    ),
  ],
}
