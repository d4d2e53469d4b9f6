import type { PointId } from '../parts/effect'
import type { Diagram, Wire } from './diagram'

/** The first wire that lands on a terminal; undefined: none does. */
export const wireAt = ({ wires }: Pick<Diagram, 'wires'>, point: PointId): Wire | undefined =>
  [...wires.values()].find(({ from, to }) => from === point || to === point)
