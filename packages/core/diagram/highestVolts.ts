import type { Diagram } from './diagram'
import { supplies } from './roles'

/** The highest nominal volts that any supply of a unit brings to it; 0 where none is known. */
export const highestVolts = (diagram: Diagram): number =>
  Math.max(0, ...supplies(diagram).map(({ kind, settings }) => kind.nominalVolts?.(settings) ?? 0))
