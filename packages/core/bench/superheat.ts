import { refrigerants, saturationFahrenheit } from '../physics/refrigerant'
import { fahrenheit, oneOfThese, psig } from './inputs'
import { refrigerantInput, refrigerantOf } from './refrigerantInputs'
import { valueShown, valueWords, type DisplayUnits } from '../physics/displayUnits'
import { benchTool, shownIn, type Verdict } from './tool'

const valve = 0
/** What a valve holds, °F, at a steady load. */
const valveHolds = { least: 5, most: 18 } as const
/** A fixed bore is right within so much of its target. */
const targetWithin = 5
const never = 'Ten minutes of running first, filters and coils clean; it is context, no charging guide.'

/** Superheat that a fixed bore should have, from indoor wet bulb and outdoor dry bulb, °F. */
export const fixedTarget = (wetBulb: number, outdoor: number): number => (3 * wetBulb - 80 - outdoor) / 2

export const superheat = benchTool({
  id: 'superheat',
  title: 'Superheat',
  group: 'Air and refrigerant',
  use: 'Is the evaporator fed as it should be, before a pressure switch is blamed?',
  caution: never,
  source:
    'Suction line less dew temperature at suction pressure; saturation by the cubic equation of Peng & Robinson (1976). ' +
    'Fixed bore: target (3 × wet bulb − 80 − outdoor) / 2',
  example: { refrigerant: refrigerants.indexOf('R-410A'), pressure: 118, line: 52, device: valve },
  inputs: {
    refrigerant: refrigerantInput,
    pressure: psig('Suction pressure'),
    line: fahrenheit('Suction line at the compressor'),
    device: oneOfThese('Metering device', ['valve', 'fixed bore']),
  },
  extras: {
    wetBulb: fahrenheit('Return wet bulb, for a fixed bore'),
    outdoor: fahrenheit('Outdoor air, for a fixed bore'),
  },
  find: ({ refrigerant, pressure, line, device, wetBulb, outdoor }, units): Verdict => {
    const dew = saturationFahrenheit(refrigerantOf(refrigerant), pressure, 'dew')
    if (dew === null) return outOfRange(pressure, units)
    const found = line - dew
    const lines = [
      { what: 'Dew temperature', value: shownIn(units, dew, '°F') },
      { what: 'Superheat', value: shownIn(units, found, '°F', 'difference') },
    ]
    const held =
      device === valve
        ? valveHolds
        : wetBulb === undefined || outdoor === undefined
          ? null
          : around(fixedTarget(wetBulb, outdoor))
    if (found < 0)
      return {
        level: 'act',
        words: 'Below saturation: a gauge, a thermometer or the refrigerant is not what was said.',
        lines,
      }
    if (held === null)
      return { level: 'watch', words: 'A fixed bore has no one value: add wet bulb and outdoor air.', lines }
    const all = [...lines, { what: 'Should be', value: betweenDegrees(held.least, held.most, units) }]
    if (found < held.least)
      return {
        level: 'watch',
        words: 'Low: too much feed or too little load; look at the air first.',
        lines: all,
      }
    if (found > held.most)
      return {
        level: 'watch',
        words: 'High: starved. A low-pressure switch that opens now only does its work.',
        lines: all,
      }
    return {
      level: 'good',
      words: 'As it should be: the charge is no reason for this switch to open.',
      lines: all,
    }
  },
})

const around = (target: number) => ({ least: target - targetWithin, most: target + targetWithin })

/** From so many degrees to so many, of how far two temperatures are apart. */
export const betweenDegrees = (least: number, most: number, units: DisplayUnits): string =>
  `${valueShown(least, '°F', units, 'difference').toFixed(0)} to ${shownIn(units, most, '°F', 'difference', 0)}`

/** A pressure that no state between −40 and 140 °F has. */
export const outOfRange = (pressure: number, units: DisplayUnits): Verdict => ({
  level: 'act',
  words: `${valueWords(pressure, 'psig', units)} is outside what this refrigerant has between ${valueShown(-40, '°F', units)} and ${valueWords(140, '°F', units)}: is it another one, or no charge?`,
  lines: [],
})
