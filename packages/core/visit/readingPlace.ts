import { commonsOf } from '../diagram/commonNear'
import { isInWire } from '../circuit/meters'
import { pointName, type Diagram } from '../diagram/diagram'
import type { Of } from './fold'

type Place = Pick<Of<'reading'>, 'meter' | 'from' | 'to'>

/** The two points of a reading by their marks, as a technician says them: `LPS1.2 to TB.C`. */
export function readingMarks({ common }: Diagram, { meter, from, to = common }: Place): string {
  const marks = `${pointName(from)} to ${pointName(to)}`
  return isInWire(meter) ? `${marks}, in the wire` : marks
}

/**
 * Where a reading was taken in words that a person can find: the point alone where it was read against the
 * common side, the part once where both points are its own.
 */
export function readingPlace(diagram: Diagram, { meter, from, to = diagram.common }: Place): string {
  const words = wordsOf(diagram, from)
  if (isInWire(meter)) return `${words}, in its wire to ${wordsOf(diagram, to)}`
  if (commonsOf(diagram).has(to) && meter === 'volts') return words
  const own = `${words.split(': ')[0]}: `
  const whole = wordsOf(diagram, to)
  const other = whole.startsWith(own) ? whole.slice(own.length) : whole
  // a terminal may be named by what it leads to
  return other.startsWith('to ') ? `${words}, ${other}` : `${words}, to ${other}`
}

const wordsOf = ({ points }: Diagram, point: string): string =>
  point === 'EARTH' ? 'bare metal' : (points.get(point)?.words ?? point)
