import { directResistance } from '../electric/law'
import { fixed } from './contact'
import type { CauseGroup } from './causeGroup'
import type { Effect } from './effect'
import { readsWrong, opens } from './fault'
import type { PartKind } from './kind'
import type { Settings } from './settings'
import { thermistorOhms } from '../physics/thermistor'
import { handTemperature } from './touch'

interface Thermistor {
  readonly kind: string
  readonly words: string
  readonly cause: CauseGroup
  readonly reads: string
}

const lyingIn = (fahrenheit: number, s: Settings): readonly Effect[] => [
  { does: 'ohms', branch: 'element', ohms: thermistorOhms(s.text('family'), fahrenheit) },
]

/** A 10 kΩ thermistor; `reads` names the condition that it lies in. */
const thermistor = ({ kind, words, cause, reads }: Thermistor): PartKind => ({
  kind,
  words,
  cause,
  symbol: 'sensor',
  ratings: [['family', 'Thermistor family']],
  settings: { reads, family: '2' },
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
})

/** Of outdoor, return and mixed air, for an economizer. */
export const temperatureSensor = thermistor({
  kind: 'temperature-sensor',
  words: 'temperature sensor',
  cause: 'economizer',
  reads: 'outdoorDryBulb',
})

/** Of the outdoor coil and the air about it, for a control that defrosts when it must. */
export const defrostSensor = thermistor({
  kind: 'defrost-sensor',
  words: 'defrost sensor',
  cause: 'defrost',
  reads: 'outdoorCoilTemperature',
})
