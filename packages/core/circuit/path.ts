import type { Circuit } from './circuit'

/** One step of a path: the node arrived at and the link that led there (−1 at the start). */
export interface PathStep {
  readonly node: number
  readonly link: number
}

/**
 * A step across an open contact counts as this many closed ones, so that a path goes through it only when it
 * must.
 */
const openContactSteps = 40

/**
 * The way the current is meant to go between two nodes: fewest steps through wires, fuses and contacts as
 * they stand
 * in the healthy circuit; through an open contact where there is no other way. Null when there is none.
 */
export function conductingPath(
  circuit: Circuit,
  from: number,
  to: number,
  avoid: ReadonlySet<number> = new Set(),
): readonly PathStep[] | null {
  const { network, healthy } = circuit
  const neighbours = new Map<number, { node: number; link: number; steps: number }[]>()
  const join = (a: number, b: number, link: number, steps: number): void => {
    neighbours.set(a, [...(neighbours.get(a) ?? []), { node: b, link, steps }])
  }
  network.links.forEach(({ a, b, role, states }, link) => {
    if (role !== 'conductor' && role !== 'contact' && role !== 'fuse') return
    if (a === network.earthNode || b === network.earthNode) return
    const steps = states[healthy.states[link]].ac ? 1 : openContactSteps
    join(a, b, link, steps)
    join(b, a, link, steps)
  })
  const best = new Map<number, { steps: number; from: number; link: number }>([
    [from, { steps: 0, from: -1, link: -1 }],
  ])
  const open = new Set([from])
  while (open.size > 0) {
    const here = [...open].reduce((a, b) => ((best.get(b)?.steps ?? 0) < (best.get(a)?.steps ?? 0) ? b : a))
    open.delete(here)
    if (here === to) break
    for (const next of neighbours.get(here) ?? []) {
      if (avoid.has(next.node)) continue
      const steps = (best.get(here)?.steps ?? 0) + next.steps
      if (steps >= (best.get(next.node)?.steps ?? Infinity)) continue
      best.set(next.node, { steps, from: here, link: next.link })
      open.add(next.node)
    }
  }
  if (!best.has(to)) return null
  const path: PathStep[] = []
  for (let at = to; at >= 0;) {
    const step = best.get(at)
    if (!step) break
    path.unshift({ node: at, link: step.link })
    at = step.from
  }
  return path
}
