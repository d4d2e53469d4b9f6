import type { PointId } from '../parts/effect'
import { partOfPoint, type Diagram, type Wire } from './diagram'
import { inOnePlace } from './inOnePlace'
import { supplies } from './roles'

/**
 * Whether a terminal may be live with the unit isolated, or sits beside one that is: at the supply and at an
 * isolator nothing comes off.
 */
export const staysLanded = (diagram: Diagram, point: PointId): boolean => {
  const part = partOfPoint(point)
  return diagram.isolators.includes(part) || supplies(diagram).some(({ id }) => id === part)
}

/**
 * Where a lead is lifted: one that comes to the board from another place there, any other at both ends, but
 * for one that stays landed. Empty for a lead that nobody lifts.
 */
export function liftedAt(diagram: Diagram, { from, to }: Wire): readonly PointId[] {
  const ends = [from, to].filter((end) => !staysLanded(diagram, end))
  const atBoard = ends.filter((end) => partOfPoint(end) === diagram.board)
  return inOnePlace(diagram, from, to) || atBoard.length === 0 ? ends : atBoard
}
