import { enthalpyBtuPerPound, humidityRatio } from '../physics/psychrometrics'
import { fahrenheit, feet, humidity } from './inputs'
import { benchTool, shownIn, type Verdict } from './tool'

/** Btu an hour of a ton, and of a cubic foot a minute of air by a Btu a pound at sea level. */
const btuPerTon = 12_000
const totalFactor = 4.5
const usualAir = 400
/** Air leaves a wet coil nearly saturated, relative humidity in per cent. */
const leavingPercent = 90
/** A unit at another load or airflow is so many degrees off. */
const within = 4

/** What the coil takes out of a pound of air, Btu, at so many cubic feet a minute for each ton. */
const takenOut = (air: number): number => btuPerTon / (totalFactor * air)

/** Where a function that rises comes to a value, °F. */
function fahrenheitWhere(value: number, of: (fahrenheit: number) => number): number {
  let [low, high] = [-20, 150]
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2
    if (of(middle) < value) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** Degrees between return and supply of a unit that does what it is rated for, °F. */
export function splitFor(returnAir: number, percent: number, air = usualAir, altitude = 0): number {
  const left = enthalpyBtuPerPound(returnAir, percent, altitude) - takenOut(air)
  const wet = fahrenheitWhere(left, (at) => enthalpyBtuPerPound(at, leavingPercent, altitude))
  const water = humidityRatio(returnAir, percent, altitude)
  if (humidityRatio(wet, leavingPercent, altitude) <= water) return returnAir - wet
  // too dry to wet the coil: all that is taken out is warmth, 0.24 Btu a degree and a pound, and that of its water
  return takenOut(air) / (0.24 + 0.444 * water)
}

export const temperatureSplit = benchTool({
  id: 'temperature-split',
  title: 'Return and supply apart',
  group: 'Air and refrigerant',
  use: 'Is the air cooled by as much as it should be, for how humid it is?',
  source:
    'Total heat = 4.5 × CFM × Δh, a ton 12,000 Btu/h; the coil’s air leaves at about 90 %. Dry return air is cooled by more',
  caution: 'Ten to fifteen minutes of running first, filter clean; it is context, no charging guide.',
  example: { returnAir: 75, percent: 50, supply: 55 },
  inputs: {
    returnAir: fahrenheit('Return air'),
    percent: humidity('Return humidity'),
    supply: fahrenheit('Supply air'),
  },
  extras: {
    air: { words: 'Air for each ton', unit: 'CFM', least: 150, most: 700, usual: usualAir },
    altitude: feet('Altitude', 0),
  },
  find: ({ returnAir, percent, supply, air = usualAir, altitude = 0 }, units): Verdict => {
    const should = splitFor(returnAir, percent, air, altitude)
    const found = returnAir - supply
    const lines = [
      { what: 'Apart', value: shownIn(units, found, '°F', 'difference') },
      { what: 'Should be about', value: shownIn(units, should, '°F', 'difference') },
    ]
    if (found < 2)
      return { level: 'act', words: 'It does not cool: does the compressor run, does the blower?', lines }
    if (found < should - within)
      return {
        level: 'watch',
        words: 'Little: low charge, a weak compressor, or much air. Look at the air first.',
        lines,
      }
    if (found > should + within)
      return { level: 'watch', words: 'Much: too little air. Filter, coil, belt, blower speed.', lines }
    return { level: 'good', words: 'As it should be for this air.', lines }
  },
})
