import type { Evidence, Findings } from '../visit/evidence'
import { isNothing } from './likelihood'
import { leadingFew, shareOf } from './leadingFew'
import type { Belief } from './suspects'

/** A verdict hangs on a reading without which its suspects had less than this. */
const hangsBelow = 0.8

/** Ohms up to which two leads that touch each other, or one that touches beside, read the same. */
const touchingOhms = 1

/**
 * Whether a verdict hangs on this one reading, of nothing or of no ohms, which a lead that did not touch or
 * touched beside would have shown just as well. `e` is its place among the evidence.
 */
export function isHinge({ evidence }: Findings, belief: Belief, e: number): boolean {
  if (!isSoonMisread(evidence[e])) return false
  const leading = leadingFew(belief)
  if (leading === null) return false
  const without = belief.probability.map((p, h) => (p > 0 ? p * Math.exp(-belief.weight[e][h]) : 0))
  return shareOf(leading, without) < hangsBelow * without.reduce((a, b) => a + b, 0)
}

function isSoonMisread(piece: Evidence): boolean {
  if (piece.kind !== 'reading') return false
  const { meter, value } = piece
  return isNothing(meter, value) || (meter === 'ohms' && value !== null && value <= touchingOhms)
}
