import type { Meter } from '../circuit/meters'
import { distinct, isNothing, spreadsApart } from './likelihood'
import { readingOf } from './grouping'
import type { Predictions } from './situationModel'
import type { Belief } from './suspects'

/** What each suspect says of a reading. */
export interface Foreseen {
  readonly meter: Meter
  readonly predicted: Predictions
}

/** The same of one that was taken, and what it was. */
export interface Told extends Foreseen {
  readonly value: number | null
}

/** Of what is believed, the share that a reading must tell apart to be news beside one that was taken. */
const newsFrom = 0.001
/** Predictions closer than this many standard deviations of a good reading are read alike. */
const alike = 1

/**
 * Whether a suspect can only have it that a reading was misread: it showed nothing where that one says
 * something, or the other way round. Such a suspect wants it read again, not another like it.
 */
const wasMisread = (meter: Meter, read: number | null, said: number | null): boolean =>
  isNothing(meter, read) !== isNothing(meter, said) && distinct(meter, read, said)

/** Of what is believed, the share that must take a reading for right before another is held against it. */
const takenFrom = 0.5

/**
 * Whether every suspect worth a word says the same of a reading as of one that was taken: a clamp on the
 * next wire in series, the other side of a closed contact. It would tell no more than whether the first
 * was read right.
 */
export const repeats = (
  told: readonly Told[],
  { meter, predicted }: Foreseen,
  { probability }: Belief,
  which: readonly number[],
): boolean =>
  told.some((earlier) => {
    if (earlier.meter !== meter) return false
    let news = 0
    let believed = 0
    let misread = 0
    for (const h of which) {
      believed += probability[h]
      const said = readingOf(earlier.predicted[h])
      if (wasMisread(meter, earlier.value, said)) misread += probability[h]
      else if (spreadsApart(meter, said, readingOf(predicted[h])) >= alike) news += probability[h]
      if (news >= newsFrom) return false
    }
    return misread < takenFrom * believed
  })

/**
 * Whether every suspect worth a word has it that a part looks as it did when it was looked at before: by
 * hypothesis, the words of then and of now. The same look repeated counts once.
 */
export function repeatsLook(
  then: readonly (string | undefined)[],
  now: (h: number) => string,
  { probability }: Belief,
  which: readonly number[],
): boolean {
  let news = 0
  for (const h of which) {
    if (then[h] !== now(h)) news += probability[h]
    if (news >= newsFrom) return false
  }
  return true
}
