import { refrigerants, saturationFahrenheit } from '../physics/refrigerant'
import { fahrenheit, psig } from './inputs'
import { refrigerantInput, refrigerantOf } from './refrigerantInputs'
import { betweenDegrees, outOfRange } from './superheat'
import { benchTool, shownIn, type Verdict } from './tool'

/** Where no plate says otherwise, °F. */
const usualTarget = 10
const targetWithin = 4

export const subcooling = benchTool({
  id: 'subcooling',
  title: 'Subcooling',
  group: 'Air and refrigerant',
  use: 'Is there liquid at the valve, before a high-pressure switch is blamed?',
  caution: 'Ten minutes of running first, condenser clean; it is context, no charging guide.',
  source:
    'Bubble temperature at liquid pressure less liquid line; saturation by the cubic equation of Peng & Robinson (1976)',
  example: { refrigerant: refrigerants.indexOf('R-410A'), pressure: 317, line: 90 },
  inputs: {
    refrigerant: refrigerantInput,
    pressure: psig('Liquid pressure'),
    line: fahrenheit('Liquid line'),
  },
  extras: { target: { ...fahrenheit('Subcooling by the plate', usualTarget), sort: 'difference' } },
  find: ({ refrigerant, pressure, line, target = usualTarget }, units): Verdict => {
    const bubble = saturationFahrenheit(refrigerantOf(refrigerant), pressure, 'bubble')
    if (bubble === null) return outOfRange(pressure, units)
    const found = bubble - line
    const lines = [
      { what: 'Bubble temperature', value: shownIn(units, bubble, '°F') },
      { what: 'Subcooling', value: shownIn(units, found, '°F', 'difference') },
      { what: 'Should be', value: betweenDegrees(target - targetWithin, target + targetWithin, units) },
    ]
    if (found < 0)
      return {
        level: 'act',
        words: 'Bubbles at the valve, or a gauge or thermometer lies.',
        lines,
      }
    if (found < target - targetWithin)
      return { level: 'watch', words: 'Low: little liquid stands before the valve.', lines }
    if (found > target + targetWithin)
      return {
        level: 'watch',
        words: 'High: liquid backs up. Look at condenser air and fan before the high-pressure switch.',
        lines,
      }
    return { level: 'good', words: 'As it should be: the charge is no reason for a switch to open.', lines }
  },
})
