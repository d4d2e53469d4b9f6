import type { Diagram } from '../diagram/diagram'

/** Seconds that the energy stored in a unit is waited for at least, before hands go in; 0 where none is. */
export const storedSeconds = ({ parts }: Diagram): number =>
  Math.max(0, ...[...parts.values()].map(({ kind }) => kind.storedSeconds ?? 0))

/** What is confirmed of it: a drive's bus is read, whatever its plate says of the time. */
export function storedWords(diagram: Diagram): string {
  const drive = [...diagram.parts.values()].some(({ kind }) => kind.cause === 'drive')
  const seconds = storedSeconds(diagram)
  return drive
    ? `Stored energy: the time on the drive’s plate waited, ${seconds} s at least; its bus read under 50 V DC; capacitors discharged`
    : `Stored energy: ${seconds} s waited, capacitors discharged`
}
