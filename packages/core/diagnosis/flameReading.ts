import { provenMicroamps } from '../physics/flameCurrent'
import { bell } from './bell'

/** Burners and rods differ: spread of a flame's current on a logarithmic scale. */
const spread = 0.5
/** What a meter shows of nothing, microamperes. */
const floor = 0.1
/**
 * Where no flame burns, the share of readings that are of one all the same: of the moment before, or of one
 * that lit at this try and not at others. A judgement.
 */
const momentBefore = 0.02

/** What is predicted at best where a meter shows this: that flame, or none. Microamperes. */
export const flameBehind = (value: number): number => (value >= floor ? value : 0)

/** Density of a flame's current, per microampere, proven or too weak for it. */
export function flameDensity(value: number, predicted: number): number {
  if (predicted >= floor) {
    if (value <= -floor) return 0
    return bell(Math.log((value + floor) / (predicted + floor)), spread) / (value + floor)
  }
  const weak = value >= 0 && value < provenMicroamps ? 1 / provenMicroamps : 0
  return (1 - momentBefore) * bell(value, floor) + momentBefore * weak
}
