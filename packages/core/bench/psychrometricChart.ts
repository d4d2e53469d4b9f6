import { unitShown, valueShown, type DisplayUnits } from '../physics/displayUnits'
import { humidityRatio } from '../physics/psychrometrics'
import type { Picture, PicturePoint } from './picture'

const coldest = 20
const hottest = 110
/** Pounds of water in a pound of dry air at the top of the chart. */
const wettest = 0.03
const curvesAt = [100, 60, 20] as const

/**
 * Moist air as a chart: temperature across, water in the air up, curves of relative humidity, and the points
 * that were given.
 */
export function psychrometricChart(
  points: readonly { readonly words: string; readonly fahrenheit: number; readonly percent: number }[],
  altitude: number,
  units: DisplayUnits,
): Picture {
  const across = (fahrenheit: number): number => valueShown(fahrenheit, '°F', units)
  const temperatures = Array.from({ length: 31 }, (_, k) => coldest + ((hottest - coldest) * k) / 30)
  return {
    is: 'chart',
    words: 'Moist air: temperature, water in it, relative humidity',
    across: { words: unitShown('°F', units), least: across(coldest), most: across(hottest) },
    up: { words: 'water in the air, lb/lb', least: 0, most: wettest },
    curves: curvesAt.map((percent) => ({
      words: `${percent} %`,
      points: temperatures
        .map((fahrenheit) => [across(fahrenheit), humidityRatio(fahrenheit, percent, altitude)] as const)
        .filter(([, ratio]) => ratio <= wettest),
    })),
    points: points.map(({ words, fahrenheit, percent }): PicturePoint => ({
      words,
      at: [across(fahrenheit), humidityRatio(fahrenheit, percent, altitude)],
    })),
  }
}
