import type { Diagram, Wire } from '../diagram/diagram'
import { Joined } from '../diagram/joined'
import type { PointId } from '../parts/effect'
import type { Lead } from './leadChange'

/**
 * The leads of a unit in which just those terminals are joined that stand in one node together. Leads that fit
 * stay; one that joins what is apart is moved where it is needed, else taken out; what is missing is new.
 */
export function leadsByNodes(
  { wires }: Pick<Diagram, 'wires'>,
  nodes: readonly (readonly PointId[])[],
): readonly Lead[] {
  const nodeOf = new Map(nodes.flatMap((points, node) => points.map((point) => [point, node] as const)))
  const all = [...wires.values()]
  const fits = ({ from, to }: Wire): boolean => nodeOf.get(from) === nodeOf.get(to)
  const kept = all.filter(fits)
  const free = new Set(all.filter((wire) => !fits(wire)))
  const joined = new Joined()
  for (const { from, to } of kept) joined.join(from, to)
  const made = nodes.flatMap((points, node) => {
    const [hub, ...others] = points
    return others.flatMap((point): readonly Lead[] => {
      if (joined.find(hub) === joined.find(point)) return []
      const lead = joining(hub, point, node)
      joined.join(hub, point)
      return [lead]
    })
  })
  return [...kept, ...made]

  /** A lead from what hangs together to a point that does not yet: one that is free, by an end of its own. */
  function joining(hub: PointId, point: PointId, node: number): Lead {
    const ends = ({ from, to }: Wire): readonly PointId[] => [from, to]
    const spare = [...free].find((wire) =>
      ends(wire).some((end) => nodeOf.get(end) === node && isOfTheTwo(end)),
    )
    if (!spare) return { from: hub, to: point, color: 'white', number: `N${node + 1}` }
    free.delete(spare)
    const stays = ends(spare).find((end) => nodeOf.get(end) === node && isOfTheTwo(end)) ?? hub
    const onto = joined.find(stays) === joined.find(hub) ? point : hub
    return { from: stays, to: onto, color: spare.color, number: spare.number }

    function isOfTheTwo(end: PointId): boolean {
      return [hub, point].some((each) => joined.find(each) === joined.find(end))
    }
  }
}
