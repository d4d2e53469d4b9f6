import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { effectEnds } from '@jokulgale/core/diagram/effectEnds'
import { Joined } from '@jokulgale/core/diagram/joined'
import type { Hypothesis } from '@jokulgale/core/diagnosis/hypothesis'
import { earth, type Effect, type PointId } from '@jokulgale/core/parts/effect'
import type { Difference } from '@jokulgale/core/world/difference'

/**
 * Whether a suspect names the stretch in which a unit is not as drawn: the same wire or part, or something
 * between the same two conductors. Who looks there sees what nobody drew.
 */
export function namesStretch(diagram: Diagram, difference: Difference, suspect: Hypothesis): boolean {
  if (suspect.of.includes(difference.of)) return true
  const conductorOf = conductors(diagram)
  const between = (effects: readonly Effect[]): readonly string[] =>
    effects.flatMap((effect) => {
      const pair = effectEnds(diagram, effect)?.map(conductorOf).sort()
      return pair && pair[0] !== pair[1] ? [pair.join(' ')] : []
    })
  const differs = new Set(between(difference.effects))
  return between(suspect.effects).some((pair) => differs.has(pair))
}

/** Which conductor a point is of: all that wires and connectors join, metal with what is bonded to it. */
function conductors({ parts, wires, common }: Diagram): (point: PointId) => string {
  const joined = new Joined()
  for (const { from, to } of wires.values()) joined.join(from, to)
  for (const { id, kind, settings } of parts.values())
    if (kind.pulledApart)
      for (const { from, to } of kind.branches(settings, {})) joined.join(`${id}.${from}`, `${id}.${to}`)
  return (point) => joined.find(point === earth ? common : point)
}
