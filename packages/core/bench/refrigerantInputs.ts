import { refrigerants, type Refrigerant } from '../physics/refrigerant'
import type { BenchInput } from './tool'

/** Which refrigerant, as its plate says: one of a few. */
export const refrigerantInput: BenchInput = {
  words: 'Refrigerant',
  unit: '',
  least: 0,
  most: refrigerants.length - 1,
  among: refrigerants.map((words, value) => ({ value, words })),
}

export const refrigerantOf = (value: number): Refrigerant => refrigerants[value] ?? refrigerants[0]
