import { lateMoves, type LateMove } from '../circuit/delays'
import { situationOf } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import type { Standing } from './standing'

/** What moves late in a healthy unit after the last change of call or power, with the seconds it takes. */
export function lateMovesIn(
  diagram: Diagram,
  { call, power, conditions, before }: Standing,
): readonly LateMove[] {
  if (power === 'off') return []
  const earlier = before ?? { call: diagram.calls[0].id, power: 'on' }
  return lateMoves(
    diagram,
    situationOf(diagram, earlier.call, earlier.power, conditions),
    situationOf(diagram, call, 'on', conditions),
  )
}
