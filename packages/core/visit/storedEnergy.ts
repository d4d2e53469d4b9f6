import type { Diagram } from '../diagram/diagram'

/** Seconds that the energy stored in a unit is waited for at least, before hands go in; 0 where none is. */
export const storedSeconds = ({ parts }: Diagram): number =>
  Math.max(0, ...[...parts.values()].map(({ kind }) => kind.storedSeconds ?? 0))

/**
 * What is confirmed of it: a drive's plate says how long; what its bus still holds is read beside the legs.
 */
export function storedWords(diagram: Diagram): string {
  const hasBus = [...diagram.parts.values()].some(({ kind }) => kind.storedBetween !== undefined)
  const seconds = storedSeconds(diagram)
  return hasBus
    ? `Stored energy: the time on the drive’s plate waited, ${seconds} s at least; capacitors discharged`
    : `Stored energy: ${seconds} s waited, capacitors discharged`
}
