import type { PointId } from '../parts/effect'
import { partOfPoint, type Diagram, type Wire } from './diagram'

/** Where a lead is lifted: one that comes to the board from another place there, any other at both ends. */
export function liftedAt({ points, board }: Diagram, { from, to }: Wire): readonly PointId[] {
  const atBoard = [from, to].filter((end) => partOfPoint(end) === board)
  const isOfOnePlace = points.get(from)?.zone === points.get(to)?.zone
  return isOfOnePlace || atBoard.length === 0 ? [from, to] : atBoard
}
