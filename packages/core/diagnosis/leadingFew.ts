import { likely } from './outcomes'
import type { Belief } from './suspects'

/** So few suspects with so much of what is believed are a verdict. */
const verdict = { most: 4, share: 0.9 } as const

/** The few that are a verdict together, most probable first; null while there is none. */
export function leadingFew(belief: Belief): readonly number[] | null {
  const few = likely(belief).slice(0, verdict.most)
  const upTo = few.findIndex((_, k) => shareOf(few.slice(0, k + 1), belief.probability) >= verdict.share)
  return upTo < 0 ? null : few.slice(0, upTo + 1)
}

/** What some suspects hold together. */
export const shareOf = (some: readonly number[], shares: Float64Array): number =>
  some.reduce((sum, h) => sum + shares[h], 0)
