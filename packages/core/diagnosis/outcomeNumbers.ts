import type { Meter } from '../circuit/meter'
import { endsAmong, groupNumbers, sortable, valuesOf } from './grouping'
import { displayStep } from './likelihood'

/** How finely outcomes are told apart: as an exact display shows them, or as a person with a meter safely can. */
export type Fineness = 'display' | 'tolerance'

/** What an exact display shows, in counts. */
const shown = (meter: Meter, value: number): number => (value === Infinity ? Infinity : Math.round(value / displayStep(meter, value)))

/** Numbers the outcomes of a reading from its smallest to its largest value; what is out of range comes last. */
export function outcomeNumbers(meter: Meter, values: ArrayLike<number>, count: number, fineness: Fineness = 'tolerance'): Int32Array {
  const different = valuesOf(values, Array.from({ length: count }, (_, h) => h))
  const ends = fineness === 'tolerance' ? endsAmong(meter, different) : displayEnds(meter, different)
  const numbers = groupNumbers(different, ends)
  return Int32Array.from({ length: count }, (_, h) => numbers.get(sortable(values[h])) ?? 0)
}

function displayEnds(meter: Meter, different: Float64Array): readonly number[] {
  const ends: number[] = []
  for (let k = 1; k <= different.length; k++) if (k === different.length || shown(meter, different[k - 1]) !== shown(meter, different[k])) ends.push(k)
  return ends
}
