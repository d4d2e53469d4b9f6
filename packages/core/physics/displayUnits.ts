/**
 * Units that a person reads and types in. What is kept, solved and sent stays in °F and psig, whoever looks at it in
 * whichever unit.
 */
export interface DisplayUnits {
  readonly temperature: '°F' | '°C'
  readonly pressure: 'psig' | 'kPa' | 'bar'
}

export const usualUnits: DisplayUnits = { temperature: '°F', pressure: 'psig' }
export const temperatureUnits: readonly DisplayUnits['temperature'][] = ['°F', '°C']
export const pressureUnits: readonly DisplayUnits['pressure'][] = ['psig', 'kPa', 'bar']

/** A value at a point of its scale, or how far two such are apart: 10 °F apart is 5.6 °C, at 10 °F it is −12.2 °C. */
export type Sort = 'point' | 'difference'

/** How a unit stands to the one that values are kept in: times, then plus; and the places that are worth showing. */
interface Scale {
  readonly times: number
  readonly plus: number
  readonly places: number
}

const kilopascalsOfPsi = 6.894757
const scales: Readonly<Record<string, Scale>> = {
  '°C': { times: 5 / 9, plus: (-32 * 5) / 9, places: 1 },
  kPa: { times: kilopascalsOfPsi, plus: 0, places: 0 },
  bar: { times: kilopascalsOfPsi / 100, plus: 0, places: 2 },
}

/** The unit that is shown for one that is kept: its own, where no other is chosen for it. */
export function unitShown(unit: string, { temperature, pressure }: DisplayUnits): string {
  if (unit === '°F') return temperature
  return unit === 'psig' ? pressure : unit
}

/** A kept value in the unit that is shown, with as many places as are worth it. */
export function valueShown(value: number, unit: string, units: DisplayUnits, sort: Sort = 'point'): number {
  const scale = scales[unitShown(unit, units)]
  if (!scale || !Number.isFinite(value)) return value
  return Number((value * scale.times + (sort === 'point' ? scale.plus : 0)).toFixed(scale.places))
}

/** A value typed in the unit that is shown, as it is kept: to a hundredth, finer than any thermometer or gauge. */
export function valueKept(typed: number, unit: string, units: DisplayUnits, sort: Sort = 'point'): number {
  const scale = scales[unitShown(unit, units)]
  if (!scale || !Number.isFinite(typed)) return typed
  return Number(((typed - (sort === 'point' ? scale.plus : 0)) / scale.times).toFixed(2))
}

/** A kept value in words, in the unit that is shown. */
export const valueWords = (value: number, unit: string, units: DisplayUnits, sort?: Sort): string =>
  `${valueShown(value, unit, units, sort)} ${unitShown(unit, units)}`.trim()
