import type { PointId } from '../parts/effect'
import type { Diagram, Wire } from './diagram'

/** The wire between two terminals, either way round; undefined: none joins them. */
export const wireJoining = (
  { wires }: Pick<Diagram, 'wires'>,
  one: PointId,
  other: PointId,
): Wire | undefined => wires.get(`${one}-${other}`) ?? wires.get(`${other}-${one}`)
