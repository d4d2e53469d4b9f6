import { partOfBranch, type Diagram } from '@jokulgale/core/diagram/diagram'
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
      const pair = endsOf(diagram, effect)?.map(conductorOf).sort()
      return pair && pair[0] !== pair[1] ? [pair.join(' ')] : []
    })
  const differs = new Set(between(difference.effects))
  return between(suspect.effects).some((pair) => differs.has(pair))
}

/** The two points that an effect joins, or parts. */
function endsOf({ parts, wires }: Diagram, effect: Effect): readonly [PointId, PointId] | null {
  switch (effect.does) {
    case 'join':
      return [effect.from, effect.to]
    case 'move': {
      // the lead brings its other end to where it is now
      const wire = wires.get(effect.wire)
      return wire ? [wire.from === effect.end ? wire.to : wire.from, effect.to] : null
    }
    case 'open':
    case 'ohms':
    case 'hold': {
      const part = parts.get(partOfBranch(effect.branch))
      const own = part?.kind
        .branches(part.settings, {})
        .find(({ name }) => `${part.id}/${name}` === effect.branch)
      return part && own ? [`${part.id}.${own.from}`, `${part.id}.${own.to}`] : null
    }
    case 'set':
      return null
  }
}

/** Which conductor a point is of: all that wires join, metal with what is bonded to it. */
function conductors({ wires, common }: Diagram): (point: PointId) => string {
  const next = new Map<string, string[]>()
  const note = (a: string, b: string): void => {
    next.set(a, [...(next.get(a) ?? []), b])
  }
  for (const { from, to } of wires.values()) {
    note(from, to)
    note(to, from)
  }
  const reached = (start: string): string => {
    const seen = new Set([start])
    for (const point of seen) for (const other of next.get(point) ?? []) seen.add(other)
    return [...seen].sort()[0]
  }
  return (point) => reached(point === earth ? common : point)
}
