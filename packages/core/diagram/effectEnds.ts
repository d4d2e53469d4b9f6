import { earth, type Effect, type PointId } from '../parts/effect'
import type { Branch } from '../parts/kind'
import { partOfBranch, type Diagram, type Part } from './diagram'

/**
 * The two points that something which is wrong lies between: the ends of the branch that it changes, what it
 * joins, or where a lead comes from and has been put. Null where it is between none, as a dial that is set
 * wrong, or in what a part remembers.
 */
export function effectEnds(
  { parts, wires }: Diagram,
  effect: Effect,
): readonly [from: PointId, to: PointId] | null {
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
      const wire = wires.get(effect.branch)
      if (wire) return [wire.from, wire.to]
      const part = parts.get(partOfBranch(effect.branch))
      return part ? terminalsOfBranch(part, effect.branch) : null
    }
    case 'set':
      return null
  }
}

/** The terminals of a part that one of its branches, `PART/branch`, lies between; null where it has none. */
export function terminalsOfBranch(
  { id, kind, settings }: Part,
  branch: string,
): readonly [PointId, PointId] | null {
  const branches = kind.branches(settings, {})
  const terminals = new Set(kind.terminals(settings).map(({ name }) => name))
  const own = branches.find(({ name }) => `${id}/${name}` === branch)
  if (!own || own.from === own.to) return null
  const from = outside(own.from, own)
  const to = outside(own.to, own)
  return from !== null && to !== null ? [from, to] : null

  /** The terminal, or for a point inside the part the one that its next branch leads to. */
  function outside(name: string, beside: Branch): PointId | null {
    if (name === earth) return earth
    if (terminals.has(name)) return `${id}.${name}`
    const next = branches.find((other) => other !== beside && [other.from, other.to].includes(name))
    return next ? outside(next.from === name ? next.to : next.from, next) : null
  }
}
