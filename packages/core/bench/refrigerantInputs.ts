import { refrigerants, type Refrigerant } from '../physics/refrigerant'
import { oneOfThese } from './inputs'

/** Which refrigerant, as its plate says: one of a few. */
export const refrigerantInput = oneOfThese('Refrigerant', refrigerants)

export const refrigerantOf = (value: number): Refrigerant => refrigerants[value] ?? refrigerants[0]
