import type { Meter } from '../circuit/meter'
import { groupEnds, inOrder, readingOf } from './grouping'
import { displayStep } from './likelihood'

/** How finely outcomes are told apart: as an exact display shows them, or as a person with a meter safely can. */
export type Fineness = 'display' | 'tolerance'

/** What an exact display shows, in counts. */
const shown = (meter: Meter, value: number): number => (Number.isNaN(value) ? Infinity : Math.round(value / displayStep(meter, value)))

/** Numbers the outcomes of a reading from its smallest to its largest value; what is out of range comes last. */
export function outcomeNumbers(meter: Meter, values: ArrayLike<number>, count: number, fineness: Fineness = 'tolerance'): Int32Array {
  const order = inOrder(values, Array.from({ length: count }, (_, h) => h))
  const outcome = new Int32Array(count)
  const ends = fineness === 'tolerance' ? groupEnds(meter, count, (k) => readingOf(values[order[k]])) : displayEnds(meter, count, (k) => values[order[k]])
  let from = 0
  ends.forEach((end, number) => { for (; from < end; from++) outcome[order[from]] = number })
  return outcome
}

function displayEnds(meter: Meter, count: number, at: (place: number) => number): readonly number[] {
  const ends: number[] = []
  for (let k = 1; k <= count; k++) if (k === count || shown(meter, at(k - 1)) !== shown(meter, at(k))) ends.push(k)
  return ends
}
