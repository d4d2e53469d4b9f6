import { distinct, spreadsApart, type ToldApart } from './likelihood'

/** A predicted value as a reading: `null` for out of range. */
export const readingOf = (predicted: number): number | null => (Number.isNaN(predicted) ? null : predicted)

/** Where a predicted value stands among others. */
export const sortable = (predicted: number): number => (Number.isNaN(predicted) ? Infinity : predicted)

/**
 * The different values that are predicted, in rising order, `Infinity` for out of range: mostly a few, of
 * many hypotheses.
 */
export function valuesOf(predicted: ArrayLike<number>, which: readonly number[]): Float64Array {
  const different = new Set<number>()
  for (const h of which) different.add(sortable(predicted[h]))
  return Float64Array.from(different).sort()
}

/** A value of `valuesOf` as a reading. */
export const readingAt = (sorted: number): number | null => (sorted === Infinity ? null : sorted)

/**
 * Ends (exclusive) of the groups into which values in rising order fall, `null` for out of range. Neighbours
 * that can be
 * told apart are parted; a group of close neighbours whose ends can be told apart is cut at its widest gap
 * until none is.
 */
export function groupEnds(
  how: ToldApart,
  count: number,
  at: (place: number) => number | null,
): readonly number[] {
  const ends: number[] = []
  const cut = (from: number, to: number): void => {
    if (to - from < 2 || !distinct(how, at(from), at(to - 1))) {
      ends.push(to)
      return
    }
    let middle = from + 1
    let widest = -1
    for (let k = from + 1; k < to; k++) {
      const gap = spreadsApart(how, at(k - 1), at(k))
      if (gap <= widest) continue
      widest = gap
      middle = k
    }
    cut(from, middle)
    cut(middle, to)
  }
  let from = 0
  for (let k = 1; k <= count; k++) {
    if (k < count && !distinct(how, at(k - 1), at(k))) continue
    cut(from, k)
    from = k
  }
  return ends
}

/** The same of the different values that are predicted. */
export const endsAmong = (how: ToldApart, different: Float64Array): readonly number[] =>
  groupEnds(how, different.length, (k) => readingAt(different[k]))

/** Which group each of such values falls into, by the ends of the groups. */
export function groupNumbers(different: Float64Array, ends: readonly number[]): ReadonlyMap<number, number> {
  const numbers = new Map<number, number>()
  let from = 0
  ends.forEach((end, number) => {
    for (; from < end; from++) numbers.set(different[from], number)
  })
  return numbers
}
