import { earth, type PointId } from '../parts/effect'
import type { Diagram } from './diagram'
import { Joined } from './joined'

/**
 * Which conductor a point is of, by name: all that wires and connectors join, metal with what is bonded to
 * it.
 */
export function conductors({
  parts,
  wires,
  common,
}: Pick<Diagram, 'parts' | 'wires' | 'common'>): (point: PointId) => string {
  const joined = new Joined()
  for (const { from, to } of wires.values()) joined.join(from, to)
  for (const { id, kind, settings } of parts.values())
    if (kind.pulledApart)
      for (const { from, to } of kind.branches(settings, {})) joined.join(`${id}.${from}`, `${id}.${to}`)
  return (point) => joined.find(point === earth ? common : point)
}
