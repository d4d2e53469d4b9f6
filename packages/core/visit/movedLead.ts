import { partOfPoint, type Diagram, type Wire } from '../diagram/diagram'
import { faultsOf } from '../diagram/faults'
import { UnknownNameError } from '../diagram/nearest'
import type { Effect, Fault, PointId } from '../parts/effect'

/** The wire of a diagram with these two ends, either way round; undefined: it has none such. */
export const wireBetween = ({ wires }: Diagram, of: string): Wire | undefined =>
  wires.get(of) ?? [...wires.values()].find(({ from, to }) => `${to}-${from}` === of)

/** The same. Throws UnknownNameError. */
export function wireNamed(diagram: Diagram, of: string): Wire {
  const wire = wireBetween(diagram, of)
  if (!wire) throw new UnknownNameError('wire', of, diagram.wires.keys())
  return wire
}

/**
 * The end of a wire that comes off when it is found on another terminal: the one at the same part, else the
 * near one.
 */
const endOff = ({ from, to }: Wire, at: PointId): PointId => (partOfPoint(at) === partOfPoint(to) ? to : from)

/** A lead on another terminal than drawn: its other end stays where it is. Throws UnknownNameError. */
export function movedLead(diagram: Diagram, of: string, at: PointId): Effect {
  const wire = wireNamed(diagram, of)
  if (!diagram.points.has(at)) throw new UnknownNameError('point', at, diagram.points.keys())
  return { does: 'move', wire: wire.id, end: endOff(wire, at), to: at }
}

/**
 * The end of a lead that stayed where it is drawn when the other is on this terminal. Throws
 * UnknownNameError.
 */
export function endThatStays(diagram: Diagram, of: string, at: PointId): PointId {
  const wire = wireNamed(diagram, of)
  return endOff(wire, at) === wire.to ? wire.from : wire.to
}

/** The fault that a lead on this terminal is; null when the unit is known to have none such. */
export const faultOfLanding = (diagram: Diagram, of: string, at: PointId): Fault | null =>
  faultsOf(diagram).find((fault) => fault.of === wireNamed(diagram, of).id && fault.landedOn === at) ?? null
