import type { PointId } from '../parts/effect'
import type { Diagram } from './diagram'

/** Whether two terminals are in the same place of a unit. */
export const inOnePlace = ({ points }: Pick<Diagram, 'points'>, a: PointId, b: PointId): boolean =>
  points.get(a)?.zone === points.get(b)?.zone
