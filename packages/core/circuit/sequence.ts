import type { Cast } from './actors'
import type { Network } from './network'
import type { Overrides } from './overrides'

/** Where the sequences of a unit's controls run: links and nodes of what they use, and the wires on it. */
export interface Sequence {
  readonly links: ReadonlySet<number>
  readonly nodes: ReadonlySet<number>
}

/**
 * What a control that goes through a sequence uses on the way: itself, and the parts that follow something,
 * with their wires. Empty where no control does.
 */
export function sequenceOf({ links, earthNode }: Network, { actors }: Cast): Sequence {
  const isSequenced = actors.some(({ part }) => part.kind.startsFrom)
  const own = actors.filter(({ part, followedLink }) => part.kind.startsFrom ?? followedLink >= 0)
  const parts = new Set(isSequenced ? own.map(({ part }) => part) : [])
  const inside = links.filter(({ part }) => part && parts.has(part))
  const nodes = new Set(inside.flatMap(({ a, b }) => [a, b]))
  nodes.delete(earthNode)
  const isMet = ({ part, a, b }: Network['links'][number]): boolean =>
    part ? parts.has(part) : nodes.has(a) || nodes.has(b)
  return { nodes, links: new Set(links.flatMap((link, number) => (isMet(link) ? [number] : []))) }
}

/** Whether something that differs lies where a sequence runs, so that it matters how a call begins. */
export function meetsSequence(
  { links, nodes }: Sequence,
  { rows, held, settings, joins }: Overrides,
): boolean {
  if (links.size === 0) return false
  for (const link of rows.keys()) if (links.has(link)) return true
  for (const link of held.keys()) if (links.has(link)) return true
  return settings.size > 0 || joins.some(({ a, b }) => nodes.has(a) || nodes.has(b))
}
