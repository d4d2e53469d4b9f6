import type { Diagram } from '../diagram/diagram'
import { effectEnds } from '../diagram/effectEnds'
import { Joined } from '../diagram/joined'
import { earth, type Effect, type PointId } from '../parts/effect'
import type { Difference } from './difference'

/** What a suspect lays blame on, and what it does. */
interface Blame {
  readonly of: readonly string[]
  readonly effects: readonly Effect[]
}

/**
 * Whether a suspect names the stretch in which a unit is not as drawn: the same wire or part, or something
 * between the same two conductors. Who looks there sees what nobody drew.
 */
export function namesStretch(diagram: Diagram, difference: Difference, suspect: Blame): boolean {
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
