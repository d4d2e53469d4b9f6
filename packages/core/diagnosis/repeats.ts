import type { Meter } from '../circuit/meters'
import { spreadsApart } from './likelihood'
import { readingOf } from './grouping'
import type { Predictions } from './situationModel'
import type { Belief } from './suspects'

/** What each suspect says of a reading that was taken. */
export interface Told {
  readonly meter: Meter
  readonly predicted: Predictions
}

/** Of what is believed, the share that a reading must tell apart to be news beside one that was taken. */
const newsFrom = 0.001
/** Predictions closer than this many standard deviations of a good reading are read alike. */
const alike = 1

/**
 * Whether every suspect worth a word says the same of a reading as of one that was taken: a clamp on the
 * next wire in series, the other side of a closed contact. It would tell no more than whether the first
 * was read right.
 */
export const repeats = (
  told: readonly Told[],
  { meter, predicted }: Told,
  { probability }: Belief,
  which: readonly number[],
): boolean =>
  told.some((earlier) => {
    if (earlier.meter !== meter) return false
    let news = 0
    for (const h of which) {
      if (spreadsApart(meter, readingOf(earlier.predicted[h]), readingOf(predicted[h])) < alike) continue
      news += probability[h]
      if (news >= newsFrom) return false
    }
    return true
  })
