import { isOhms, type Meter } from '../circuit/meters'
import type { Unlikeness } from './siteUnit'
import type { Random } from './random'

/** Chances that a reading is typed wrong by ten, and that it was no reading of what was asked for. */
const slipChance = 0.02
const blunderChance = 0.03
/** Digits behind the point that people type, by meter: mostly fewer than the display has. */
const digits: Readonly<Record<Meter, readonly number[]>> = {
  volts: [0, 0, 1],
  loz: [0, 0, 1],
  dc: [1, 2],
  amps: [1, 1, 2],
  ohms: [0, 1],
  millivolts: [0],
  megohms: [0, 1],
  microamps: [1],
  microfarads: [1],
}
/** What a meter and the hand that holds it add, one standard deviation of the reading. */
const spread: Readonly<Record<Meter, number>> = {
  volts: 0.006,
  loz: 0.006,
  dc: 0.01,
  amps: 0.02,
  ohms: 0.04,
  millivolts: 0.05,
  megohms: 0.1,
  microamps: 0.05,
  microfarads: 0.03,
}

/** A reading as it comes in: read, rounded, typed; now and then wrong. `normal` is a standard normal number. */
export function typedReading(
  meter: Meter,
  value: number | null,
  { readings }: Unlikeness,
  random: Random,
  normal: (random: Random) => number,
): number | null {
  if (!readings) return value
  if (random() < blunderChance) return isOhms(meter) && random() < 0.5 ? null : 0
  if (value === null) return null
  const read = value * (1 + spread[meter] * normal(random))
  const slip = random() < slipChance ? (random() < 0.5 ? 10 : 0.1) : 1
  const [least] = digits[meter]
  const places = digits[meter][Math.floor(random() * digits[meter].length)] ?? least
  const rounded = Number((read * slip).toFixed(places))
  return meter === 'dc' ? rounded : Math.max(0, rounded)
}
