import { lateMoves, type LateMove } from '../circuit/delays'
import { situationOf } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import type { StillMoves } from './proofStands'
import type { Standing } from './standing'

const known = new WeakMap<Diagram, Map<string, readonly LateMove[]>>()
/** Standings kept of a diagram: each takes two solved circuits to find. */
const mostKept = 64

/** What moves late in a healthy unit after the last change of call or power, with the seconds it takes. */
export function lateMovesIn(diagram: Diagram, standing: Standing): readonly LateMove[] {
  const { call, power, conditions, before } = standing
  if (power === 'off') return []
  const kept = known.get(diagram) ?? new Map<string, readonly LateMove[]>()
  known.set(diagram, kept)
  const key = JSON.stringify([call, before, Object.entries(conditions).sort()])
  const moves = kept.get(key) ?? findMoves(diagram, standing)
  // to the end of the line: the first in it goes first
  kept.delete(key)
  kept.set(key, moves)
  const [oldest] = kept.keys()
  if (kept.size > mostKept) kept.delete(oldest)
  return moves
}

function findMoves(diagram: Diagram, { call, conditions, before }: Standing): readonly LateMove[] {
  const earlier = before ?? { call: diagram.calls[0].id, power: 'on' }
  return lateMoves(
    diagram,
    situationOf(diagram, earlier.call, earlier.power, conditions),
    situationOf(diagram, call, 'on', conditions),
  )
}

/** Solved for a unit: whether anything of it still moves by itself so many seconds after the last change. */
export const stillMovesIn =
  (diagram: Diagram): StillMoves =>
  (standing, seconds) =>
    lateMovesIn(diagram, standing).some((move) => move.seconds > seconds)
