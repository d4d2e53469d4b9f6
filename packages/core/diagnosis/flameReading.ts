import { provenMicroamps } from '../physics/flameCurrent'
import { bell } from './bell'

/** Burners and rods differ: spread of a proven flame's current on a logarithmic scale. */
const spread = 0.5
/** What a meter shows of nothing, microamperes. */
const floor = 0.1
/** Where no flame is proven, the share of readings that show none at all; the rest are of a weak one. */
const noneShare = 0.6

/** What is predicted at best where a meter shows this: that flame, or none that is proven. Microamperes. */
export const flameBehind = (value: number): number => (value >= provenMicroamps ? value : 0)

/**
 * Density of a flame's current, per microampere. A control that proves no flame gives up, and its reading may
 * be of the moment before: anything short of a proven flame.
 */
export function flameDensity(value: number, predicted: number): number {
  if (predicted >= provenMicroamps)
    return bell(Math.log((value + floor) / (predicted + floor)), spread) / (value + floor)
  const weak = value >= 0 && value < provenMicroamps ? 1 / provenMicroamps : 0
  return noneShare * bell(value, floor) + (1 - noneShare) * weak
}
