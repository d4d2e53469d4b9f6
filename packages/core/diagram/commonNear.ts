import type { PointId } from '../parts/effect'
import type { Diagram } from './diagram'

/** From so many seconds of way apart no test lead reaches from one place to the other. */
const farSeconds = 100

const known = new WeakMap<Diagram, ReadonlySet<PointId>>()

/** The control common, and every point that wires alone join to it: common, as long as those wires hold. */
export function commonsOf(diagram: Diagram): ReadonlySet<PointId> {
  const commons = known.get(diagram) ?? joinedTo(diagram, diagram.common)
  known.set(diagram, commons)
  return commons
}

function joinedTo({ wires }: Diagram, start: PointId): ReadonlySet<PointId> {
  const joined = new Set([start])
  // a point that is added is gone through in its turn
  for (const point of joined)
    for (const { from, to } of wires.values()) {
      if (from === point) joined.add(to)
      if (to === point) joined.add(from)
    }
  return joined
}

/**
 * Where the black lead goes for volts of a point against common: on the control common, or, where no lead
 * reaches that far, on what is common in the point’s own place. Wires between the two may be what has
 * failed.
 */
export function commonNear(diagram: Diagram, point: PointId): PointId {
  const { common, points, zones } = diagram
  const zoneOf = (id: PointId): string => points.get(id)?.zone ?? ''
  const way = (id: PointId): number => zones.get(zoneOf(id))?.reachSeconds ?? 0
  if (Math.abs(way(point) - way(common)) < farSeconds) return common
  const isThere = (id: PointId): boolean => id !== point && zoneOf(id) === zoneOf(point)
  return [...commonsOf(diagram)].find(isThere) ?? common
}
