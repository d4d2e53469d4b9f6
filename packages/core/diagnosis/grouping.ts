import type { Meter } from '../circuit/meter'
import { distinct, spreadsApart } from './likelihood'

/** A predicted value as a reading: `null` for out of range. */
export const readingOf = (predicted: number): number | null => (Number.isNaN(predicted) ? null : predicted)

/** Where a predicted value stands among others. */
export const sortable = (predicted: number): number => (Number.isNaN(predicted) ? Infinity : predicted)

/** Hypotheses in rising order of what they predict; out of range comes last. */
export const inOrder = (predicted: ArrayLike<number>, which: readonly number[]): readonly number[] =>
  [...which].sort((a, b) => sortable(predicted[a]) - sortable(predicted[b]))

/**
 * Ends (exclusive) of the groups into which values in rising order fall, `null` for out of range. Neighbours that can be
 * told apart are parted; a group of close neighbours whose ends can be told apart is cut at its widest gap until none is.
 */
export function groupEnds(meter: Meter, count: number, at: (place: number) => number | null): readonly number[] {
  const ends: number[] = []
  const cut = (from: number, to: number): void => {
    if (to - from < 2 || !distinct(meter, at(from), at(to - 1))) {
      ends.push(to)
      return
    }
    let middle = from + 1
    let widest = -1
    for (let k = from + 1; k < to; k++) {
      const gap = spreadsApart(meter, at(k - 1), at(k))
      if (gap <= widest) continue
      widest = gap
      middle = k
    }
    cut(from, middle)
    cut(middle, to)
  }
  let from = 0
  for (let k = 1; k <= count; k++) {
    if (k < count && !distinct(meter, at(k - 1), at(k))) continue
    cut(from, k)
    from = k
  }
  return ends
}
