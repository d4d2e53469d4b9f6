import { partOfPoint, type Diagram } from './diagram'

/** Kinds of part that nobody may leave a unit running around. */
const guards = new Set([
  'automatic-limit',
  'manual-limit',
  'rollout',
  'smoke-detector',
  'high-pressure-switch',
  'motor-overload',
  'phase-monitor',
  'line-load-monitor',
  'freeze-switch',
  'charge-switch',
  'draft-switch',
])

const isGuard = (diagram: Diagram, id: string): boolean => guards.has(diagram.parts.get(id)?.kind.kind ?? '')

/**
 * Whether a measure or alteration takes a safety control out of its circuit: it is about one, or it joins two
 * points
 * between which every way through wires, contacts and fuses leads through one.
 */
export function passesByGuard(diagram: Diagram, of: string, to = ''): boolean {
  if (to === '' || !of.includes('.') || !to.includes('.'))
    return isGuard(diagram, of.includes('.') ? partOfPoint(of) : of)
  return reaches(diagram, of, to, true) && !reaches(diagram, of, to, false)
}

/**
 * Whether two points hang together through wires, contacts and fuses, with safety controls in their circuits
 * or without.
 */
function reaches(diagram: Diagram, from: string, to: string, withGuards: boolean): boolean {
  const neighbours = new Map<string, string[]>()
  const join = (a: string, b: string): void => {
    neighbours.set(a, [...(neighbours.get(a) ?? []), b])
    neighbours.set(b, [...(neighbours.get(b) ?? []), a])
  }
  for (const wire of diagram.wires.values()) join(wire.from, wire.to)
  for (const { id, kind, settings } of diagram.parts.values()) {
    if (!withGuards && isGuard(diagram, id)) continue
    for (const { from: a, to: b, role } of kind.branches(settings, {}))
      if ((role === 'conductor' || role === 'contact' || role === 'fuse') && a !== 'EARTH' && b !== 'EARTH')
        join(`${id}.${a}`, `${id}.${b}`)
  }
  const seen = new Set([from])
  for (const point of seen) for (const next of neighbours.get(point) ?? []) seen.add(next)
  return seen.has(to)
}

/**
 * Whether nobody may join two points by hand, not even for a moment: safety controls, phase protection, line
 * poles.
 */
export function isForbiddenBridge(diagram: Diagram, from: string, to: string): boolean {
  const part = partOfPoint(from)
  return (
    passesByGuard(diagram, from, to) ||
    (part === partOfPoint(to) && diagram.parts.get(part)?.kind.testBridge === 'never')
  )
}
