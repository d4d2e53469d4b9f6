import { thermistorFahrenheit, thermistorOhms } from '../physics/thermistor'
import { fahrenheit, kilohms } from './inputs'
import { benchTool, shown } from './tool'

/** A sensor is right within so many degrees; its air is known no better. */
const rightWithin = 4
const families = ['2', '3'] as const

export const sensor = benchTool({
  id: 'sensor',
  title: 'Sensor by ohms: 10 kΩ thermistor',
  group: 'Economizer',
  use: 'Does this sensor lie, and is it of the family that the controller expects?',
  source: 'The two common families of 10 kΩ at 77 °F, by their published points',
  inputs: { ohms: kilohms('Sensor, its leads off'), air: fahrenheit('Air at the sensor') },
  find: ({ ohms, air }) => {
    const says = families.map((family) => ({ family, at: thermistorFahrenheit(family, ohms * 1000) }))
    const lines = says.flatMap(({ family, at }) => [
      { what: `Read as type ${family}`, value: shown(at, '°F') },
      { what: `Type ${family} at ${air} °F`, value: shown(thermistorOhms(family, air) / 1000, 'kΩ', 2) },
    ])
    const right = says.filter(({ at }) => Math.abs(at - air) <= rightWithin).map(({ family }) => family)
    if (right.length === 2)
      return { level: 'good', words: 'Right. At this temperature the two families read alike.', lines }
    if (right.length === 1)
      return {
        level: 'watch',
        words: `Right for type ${right[0]}. If the controller expects the other, it reads plausible and wrong.`,
        lines,
      }
    return {
      level: 'act',
      words: 'It reads another temperature than its air has, as either type: replace it.',
      lines,
    }
  },
})
