import type { PointId } from '../parts/effect'
import { partOfPoint, type Diagram, type Wire } from './diagram'

/** The first wire that lands on a terminal; undefined: none does. */
export const wireAt = ({ wires }: Pick<Diagram, 'wires'>, point: PointId): Wire | undefined =>
  [...wires.values()].find(({ from, to }) => from === point || to === point)

/** Every wire that lands on a terminal. */
export const wiresAt = ({ wires }: Pick<Diagram, 'wires'>, point: PointId): readonly Wire[] =>
  [...wires.values()].filter(({ from, to }) => from === point || to === point)

/** Every wire that lands on a part. */
export const wiresOn = ({ wires }: Pick<Diagram, 'wires'>, part: string): readonly Wire[] =>
  [...wires.values()].filter(({ from, to }) => [from, to].some((end) => partOfPoint(end) === part))

/** A part and every wire that lands on it. */
export const withItsWires = (diagram: Pick<Diagram, 'wires'>, part: string): readonly string[] => [
  part,
  ...wiresOn(diagram, part).map(({ id }) => id),
]

/** Whether every lead of a terminal is off. */
export const isFree = (diagram: Pick<Diagram, 'wires'>, point: PointId, off: ReadonlySet<string>): boolean =>
  wiresAt(diagram, point).every(({ id }) => off.has(id))

/** The end of a wire that is not on a terminal. */
export const farFrom = (point: PointId, { from, to }: Wire): PointId => (to === point ? from : to)
