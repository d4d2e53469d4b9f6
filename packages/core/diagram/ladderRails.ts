import { partOfPoint, type Diagram } from './diagram'
import { Joined } from './joined'

/** Whether a line that begins at a point begins at what feeds its section, or ends at what it returns to. */
export interface Rails {
  readonly left: (point: string) => boolean
  readonly right: (point: string) => boolean
}

export function railsOf(diagram: Diagram): Rails {
  const joined = new Joined()
  for (const { from, to } of diagram.wires.values()) joined.join(from, to)
  // a terminal block is one conductor from end to end, as far as a drawing goes
  for (const { id, kind, settings } of diagram.parts.values())
    for (const { from, to, role } of kind.branches(settings, {}))
      if (role === 'conductor' && kind.symbol === 'terminal') joined.join(`${id}.${from}`, `${id}.${to}`)
  const same = (a: string | null, b: string): boolean => a !== null && joined.find(a) === joined.find(b)
  const isSource = (point: string): boolean => diagram.parts.get(partOfPoint(point))?.kind.symbol === 'source'
  return {
    left: (point: string): boolean => isSource(point) || same(diagram.hot, point),
    right: (point: string): boolean => same(diagram.common, point),
  }
}
