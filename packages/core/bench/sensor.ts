import { thermistorFahrenheit, thermistorOhms } from '../physics/thermistor'
import { knownConditions } from '../parts/kind'
import { sensorFeed, sensorFeedOhms } from '../physics/sensorFeed'
import { directVolts, fahrenheit, kilohms } from './inputs'
import { atParts, branchEnds } from './unitPlaces'
import { valueWords } from '../physics/displayUnits'
import { benchTool, shown, shownIn } from './tool'

const openSensor = { level: 'act', words: 'Open, or off: it reads far too cold.', lines: [] } as const
const shortedSensor = { level: 'act', words: 'Shorted: it reads far too hot.', lines: [] } as const
/** A sensor is right within so many degrees; its air is known no better. */
const rightWithin = 4
const families = ['2', '3'] as const

export const sensor = benchTool({
  id: 'sensor',
  title: 'Sensor by ohms: 10 kΩ thermistor',
  group: 'Economizer',
  use: 'Does this sensor lie, and is it of the family that the controller expects?',
  source: 'The two common families of 10 kΩ at 77 °F, by their published points',
  example: { air: 32, ohms: 29.49 },
  inputs: { air: fahrenheit('Air at the sensor') },
  extras: { ohms: kilohms('Sensor, its leads off'), direct: directVolts('Across it, connected') },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const { kind, settings } = part
      const isThermistor = kind.settings.family !== undefined && kind.settings.reads !== undefined
      const air = knownConditions.find((name) => isThermistor && name === settings.text('reads'))
      const element = branchEnds(part, ({ role }) => role === 'sensor')
      return air === undefined || !element
        ? null
        : { known: {}, conditions: { air }, readings: { direct: { meter: 'dc', ...element } } }
    }),
  check: ({ ohms, direct }) => [
    ...(ohms === undefined && direct === undefined
      ? [{ input: 'ohms', message: 'give its kilohms with its leads off, or its volts as connected' }]
      : []),
    ...(direct !== undefined && direct > sensorFeed.volts
      ? [{ input: 'direct', message: `its input gives no more than ${sensorFeed.volts} V` }]
      : []),
  ],
  find: ({ ohms: measured, direct = 0, air }, units) => {
    const ohms = measured ?? sensorFeedOhms(direct) / 1000
    if (ohms === Infinity) return openSensor
    if (ohms === 0) return shortedSensor
    const says = families.map((family) => ({ family, at: thermistorFahrenheit(family, ohms * 1000) }))
    const lines = says.flatMap(({ family, at }) => [
      { what: `Read as type ${family}`, value: shownIn(units, at, '°F') },
      {
        what: `Type ${family} at ${valueWords(air, '°F', units)}`,
        value: shown(thermistorOhms(family, air) / 1000, 'kΩ', 2),
      },
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
