import { isOhms, type Meter } from '../circuit/meters'
import type { Fault } from '../parts/effect'
import { onOhmsScale } from './ohmsScale'
import { hasRange } from './resistance'

/**
 * Where in its range a fault lies whose resistance nobody knows, as far as readings have told: a number
 * between those of its versions in order, 0 at its least, normally distributed.
 */
export interface Whereabouts {
  readonly at: number
  readonly variance: number
  /**
   * Where between its ends the drawn version had the reading that told of it: other readings bend
   * otherwise.
   */
  readonly bend: number
}

/**
 * Chance that a resistance is as it was at the reading before: a chafe shifts, a winding with turns gone
 * does not.
 */
const keepsShare = { chafe: 0.8, winding: 0.97 } as const

export const keepsOf = (faults: readonly Fault[]): number =>
  faults.filter(hasRange).every(({ ends }) => ends !== undefined) ? keepsShare.winding : keepsShare.chafe

/** A range that a reading cannot be told within: its values lie closer than so many of its spreads. */
const toldFromSpreads = 2
/** So much a resistance drifts from one reading to the next while it is as it was. */
const drift = 0.02
/**
 * Of what is learned from another reading, share of the span that its bend may be off for each unit of it.
 */
const bendShare = 0.5

/**
 * How far from its place a fault may lie that reads as an end of its range does, a relay being in or out on
 * either side of it, and one that reads between them.
 */
const atEnd = 0.4
const between = 0.03

/** What a reading is between versions of a fault, and the variance of it. */
export interface Within {
  readonly value: number
  readonly variance: number
}

/**
 * Values on a scale on which a reading spreads evenly: ohms by their logarithm. Null where that says
 * nothing.
 */
export function onScale(meter: Meter, values: readonly (number | null)[]): readonly number[] | null {
  if (meter === 'megohms') return null
  const known = values.filter((value) => value !== null)
  if (known.length < values.length) return null
  return isOhms(meter) ? known.map(onOhmsScale) : known
}

const bendOf = (values: readonly number[]): number => {
  const [least] = values
  const most = values[values.length - 1]
  return most === least ? 0 : (values[(values.length - 1) / 2] - least) / (most - least)
}

/** The versions that a place lies between, and the share of the way to the second. */
export function neighbors(values: readonly number[], { at }: Whereabouts): readonly [number, number, number] {
  const from = Math.min(Math.max(Math.floor(at), 0), values.length - 2)
  return [values[from], values[from + 1], Math.min(1, Math.max(0, at - from))]
}

/** What a reading of these values by version is where a fault has been found to lie. */
export function valueWithin(values: readonly number[], where: Whereabouts): Within {
  const [one, other, share] = neighbors(values, where)
  const off = bendShare * Math.abs(bendOf(values) - where.bend) * (values[values.length - 1] - values[0])
  return {
    value: one + share * (other - one),
    variance: (other - one) ** 2 * where.variance + off ** 2,
  }
}

/**
 * Where a reading puts a fault, in the light of where it was before: null where it does not tell, or tells
 * of two places alike.
 */
export function foundWithin(
  values: readonly number[],
  read: number,
  spread: number,
  before: Whereabouts | null,
): Whereabouts | null {
  const bend = bendOf(values)
  const places = values.slice(1).flatMap((next, k): readonly Whereabouts[] => {
    const slope = next - values[k]
    const share = (read - values[k]) / slope
    const slack = spread / Math.abs(slope)
    const tells = Math.abs(slope) > toldFromSpreads * spread && share > -slack && share < 1 + slack
    if (!tells) return []
    const isAtEnd = Math.min(share, 1 - share) < 2 * slack
    const variance = slack ** 2 + (isAtEnd ? atEnd : between) ** 2
    return [{ at: k + Math.min(1, Math.max(0, share)), variance, bend }]
  })
  const known = before && { ...before, variance: before.variance + drift ** 2 }
  const [place, other] = known
    ? [...places].sort((a, b) => Math.abs(a.at - known.at) - Math.abs(b.at - known.at))
    : places
  if (place === undefined || (known === null && other !== undefined && Math.abs(other.at - place.at) > 0.2))
    return before
  return known ? together(known, place) : place
}

/** Two findings of one place; where they do not agree, the later. */
function together(before: Whereabouts, found: Whereabouts): Whereabouts {
  const sum = before.variance + found.variance
  if ((before.at - found.at) ** 2 > 9 * sum) return found
  const gain = before.variance / sum
  const bend = found.variance < before.variance ? found.bend : before.bend
  return { at: before.at + gain * (found.at - before.at), variance: before.variance * (1 - gain), bend }
}
