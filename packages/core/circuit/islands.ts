import type { Row } from './network'
import type { Variation } from './variation'

/**
 * The island that each node belongs to, by number: nodes joined by branches that carry current in this
 * solution (what
 * carries alternating current may be open to direct). Node `earthNode` is in one of them; every other island
 * hangs free
 * of the metal of the unit, so that leakage alone says what potential it has as a whole, whatever drives it
 * inside. A
 * meter pulls it to its other lead.
 */
export function islandsOf({ base, changes }: Variation): Int32Array {
  const { network } = base
  const root = Int32Array.from({ length: network.earthNode + 1 }, (_, node) => node)
  const find = (node: number): number => {
    let at = node
    while (root[at] !== at) at = root[at] = root[root[at]]
    return at
  }
  const changed = new Map(
    changes.filter(({ link }) => link >= 0).map(({ link, row }) => [link, row] as const),
  )
  const rowOf = (link: number): Row => (changed.has(link) ? (changed.get(link) ?? null) : base.rows[link])
  network.links.forEach(({ a, b }, link) => {
    if (rowOf(link)) root[find(a)] = find(b)
  })
  for (const { link, a, b } of changes) if (link < 0) root[find(a)] = find(b)
  return root.map((_, node) => find(node))
}
