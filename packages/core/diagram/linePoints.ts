import type { Diagram } from './diagram'
import type { PointId } from '../parts/effect'

const known = new WeakMap<Diagram, ReadonlySet<PointId>>()

/** The points of a unit's line wiring. */
export function linePoints(diagram: Diagram): ReadonlySet<PointId> {
  const kept =
    known.get(diagram) ??
    new Set(
      [...diagram.wires.values()]
        .filter(({ wiring }) => wiring === 'line')
        .flatMap(({ from, to }) => [from, to]),
    )
  known.set(diagram, kept)
  return kept
}
