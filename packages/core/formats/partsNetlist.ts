import type { Diagram } from '../diagram/diagram'
import { Joined } from '../diagram/joined'

/**
 * A unit's parts and what joins their terminals, as a netlist that programs for drawing circuits read: a
 * `.subckt` a part names its terminals, a line `X` says the node of each. Nodes are what wires join, parts
 * being open.
 */
export function partsNetlist(diagram: Diagram): string {
  const nodeOf = nodesOf(diagram)
  const parts = [...diagram.parts.values()].flatMap((part) => {
    const terminals = part.kind.terminals(part.settings).map(({ name }) => name)
    return terminals.length > 0 ? [{ part, terminals }] : []
  })
  return [
    `* ${diagram.title}`,
    '* A part a line, its terminals in the order of its .subckt; a node is what wires join.',
    ...parts.flatMap(({ part: { id, words, kind }, terminals }) => [
      `* ${words}, ${kind.words}`,
      `.subckt ${id} ${terminals.join(' ')}`,
      `.ends ${id}`,
    ]),
    ...parts.map(({ part: { id }, terminals }) =>
      ['X' + id, ...terminals.map((name) => nodeOf(`${id}.${name}`)), id].join(' '),
    ),
    '.end',
    '',
  ].join('\n')
}

/** The node of each terminal, numbered in the order in which they are met. */
function nodesOf({ wires }: Diagram): (point: string) => string {
  const joined = new Joined()
  for (const { from, to } of wires.values()) joined.join(from, to)
  const numbers = new Map<string, string>()
  return (point) => {
    const root = joined.find(point)
    const known = numbers.get(root) ?? `n${numbers.size + 1}`
    numbers.set(root, known)
    return known
  }
}
