import { isOhms, rangeEnd, type Meter, type OhmsMeter } from '../circuit/meters'
import { likelihood } from './likelihood'

/**
 * What may be read on a unit that is not like its drawing: mostly what a healthy one has, often nothing or an open
 * circuit, and now and then anything at all. Shares of each.
 */
const shares = { healthy: 0.5, dead: 0.2, anything: 0.3 } as const

/**
 * Probability density of a reading on a unit that differs from its drawing somewhere. `healthy` is NaN out of range;
 * `anything` is the density of the value where all that its two points can have between them is as likely.
 */
export function notDrawnChance(
  meter: Meter,
  value: number | null,
  healthy: number,
  anything: number,
): number {
  const asDrawn = Number.isNaN(healthy) ? null : healthy
  const dead = isOhms(meter) ? null : 0
  return (
    shares.healthy * likelihood(meter, value, asDrawn) +
    shares.dead * likelihood(meter, value, dead) +
    shares.anything * (isOhms(meter) ? anyOhms(meter, value) : Math.max(anything, beyond))
  )
}

/**
 * Density of more than the two points can have by the drawing, as a transformer of other volts gives; per
 * unit.
 */
const beyond = 0.05 / 600

/** Least ohms that are told from none. */
const leastOhms: Readonly<Record<OhmsMeter, number>> = { ohms: 0.1, megohms: 5000 }

const anyOhms = (meter: OhmsMeter, value: number | null): number =>
  value === null ? 0.3 : 0.7 / Math.log(rangeEnd[meter] / leastOhms[meter])
