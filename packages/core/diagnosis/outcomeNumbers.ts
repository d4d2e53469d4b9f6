import type { Meter } from '../circuit/meters'
import { endsAmong, sortable } from './grouping'
import { displayStep } from './likelihood'

/**
 * How finely outcomes are told apart: as an exact display shows them, or as a person with a meter safely can.
 */
export type Fineness = 'display' | 'tolerance'

/** What an exact display shows, in counts. */
const shown = (meter: Meter, value: number): number =>
  value === Infinity ? Infinity : Math.round(value / displayStep(meter, value))

/**
 * Numbers the outcomes of a reading from its smallest to its largest value; what is out of range comes last.
 */
export function outcomeNumbers(
  meter: Meter,
  values: ArrayLike<number>,
  count: number,
  fineness: Fineness = 'tolerance',
): Int32Array {
  const different = sortedValues(values, count)
  const largest = (
    fineness === 'tolerance' ? endsAmong(meter, different) : displayEnds(meter, different)
  ).map((end) => different[end - 1])
  const numbers = new Int32Array(count)
  for (let h = 0; h < count; h++) {
    const value = sortable(values[h])
    while (largest[numbers[h]] < value) numbers[h] += 1
  }
  return numbers
}

/** The different ones of the first `count` values, in rising order. */
function sortedValues(values: ArrayLike<number>, count: number): Float64Array {
  const sorted = new Float64Array(count)
  for (let h = 0; h < count; h++) sorted[h] = sortable(values[h])
  sorted.sort()
  let last = 0
  for (let k = 1; k < count; k++) if (sorted[k] !== sorted[last]) sorted[++last] = sorted[k]
  return sorted.subarray(0, Math.min(count, last + 1))
}

function displayEnds(meter: Meter, different: Float64Array): readonly number[] {
  const ends: number[] = []
  for (let k = 1; k <= different.length; k++)
    if (k === different.length || shown(meter, different[k - 1]) !== shown(meter, different[k])) ends.push(k)
  return ends
}
