import { partOfPoint, type Diagram } from './diagram'
import { earth } from '../parts/effect'
import { Joined } from './joined'

const isGuard = (diagram: Diagram, id: string): boolean => diagram.parts.get(id)?.kind.guard === true

/**
 * Whether a measure or alteration takes a safety control out of its circuit: it is about one, or it joins two points
 * between which every way through wires, contacts and fuses leads through one.
 */
export function passesByGuard(diagram: Diagram, of: string, to = ''): boolean {
  if (to === '' || !of.includes('.') || !to.includes('.'))
    return isGuard(diagram, of.includes('.') ? partOfPoint(of) : of)
  const { all, withoutGuards } = waysOf(diagram)
  return all.find(of) === all.find(to) && withoutGuards.find(of) !== withoutGuards.find(to)
}

/** Points that hang together through wires, contacts and fuses, with safety controls in their circuits and without. */
interface Ways {
  readonly all: Joined
  readonly withoutGuards: Joined
}

const known = new WeakMap<Diagram, Ways>()

function waysOf(diagram: Diagram): Ways {
  const kept = known.get(diagram)
  if (kept) return kept
  const ways: Ways = { all: joinedThrough(diagram, true), withoutGuards: joinedThrough(diagram, false) }
  known.set(diagram, ways)
  return ways
}

function joinedThrough(diagram: Diagram, withGuards: boolean): Joined {
  const joined = new Joined()
  for (const wire of diagram.wires.values()) joined.join(wire.from, wire.to)
  for (const { id, kind, settings } of diagram.parts.values()) {
    if (!withGuards && isGuard(diagram, id)) continue
    for (const { from, to, role } of kind.branches(settings, {}))
      if ((role === 'conductor' || role === 'contact' || role === 'fuse') && from !== earth && to !== earth)
        joined.join(`${id}.${from}`, `${id}.${to}`)
  }
  return joined
}
