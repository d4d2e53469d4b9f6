/** Published points of the two common 10 kΩ families: °F → ohms. */
const families: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
  2: [
    [-40, 336_000],
    [0, 85_400],
    [32, 32_650],
    [50, 19_900],
    [77, 10_000],
    [100, 5_826],
    [150, 2_080],
    [200, 870],
  ],
  3: [
    [-40, 239_800],
    [0, 72_300],
    [32, 29_490],
    [50, 18_790],
    [77, 10_000],
    [100, 6_080],
    [150, 2_300],
    [200, 1_020],
  ],
}

const familyOf = (family: string): readonly (readonly [number, number])[] => {
  const points = families[family]
  if (!points)
    throw new RangeError(
      `thermistor family “${family}” is not known; known: ${Object.keys(families).join(', ')}`,
    )
  return points
}

const kelvin = (fahrenheit: number): number => (fahrenheit - 32) / 1.8 + 273.15

/**
 * Resistance of a thermistor of the family at a temperature in °F: ln R linear in 1/T between published
 * points. Ohms.
 */
export function thermistorOhms(family: string, fahrenheit: number): number {
  const points = familyOf(family)
  const last = points.length - 2
  let k = points.findIndex((point, at) => at > 0 && fahrenheit <= point[0]) - 1
  if (k < 0) k = fahrenheit <= points[0][0] ? 0 : last
  const [t0, r0] = points[k]
  const [t1, r1] = points[k + 1]
  const share = (1 / kelvin(fahrenheit) - 1 / kelvin(t0)) / (1 / kelvin(t1) - 1 / kelvin(t0))
  return Math.exp(Math.log(r0) + share * (Math.log(r1) - Math.log(r0)))
}

/**
 * The temperature that a controller would believe, °F: the inverse of `thermistorOhms`, held to the table's
 * ends.
 */
export function thermistorFahrenheit(family: string, ohms: number): number {
  const points = familyOf(family)
  if (!(ohms < points[0][1])) return points[0][0]
  const end = points.findIndex((point) => ohms >= point[1])
  if (end < 0) return points[points.length - 1][0]
  const [t0, r0] = points[end - 1]
  const [t1, r1] = points[end]
  const share = Math.log(ohms / r0) / Math.log(r1 / r0)
  const inverse = 1 / kelvin(t0) + share * (1 / kelvin(t1) - 1 / kelvin(t0))
  return (1 / inverse - 273.15) * 1.8 + 32
}
