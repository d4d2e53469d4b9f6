import type { Diagram } from './diagram'
import type { LadderDrawing } from './drawnLadder'
import { ladderSheets } from './ladderSheets'

/** Lays a diagram out whole from its rungs, each line in one row. */
export function ladderDrawing(diagram: Diagram): LadderDrawing {
  const longest = Math.max(1, ...diagram.rungs.flatMap(({ chains }) => chains.map(({ length }) => length)))
  const [whole] = ladderSheets(diagram, { abreast: longest, height: Infinity })
  return whole
}
