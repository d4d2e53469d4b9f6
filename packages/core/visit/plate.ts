import { Circuit } from '../circuit/circuit'
import { valueBetween } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { partOfPoint, terminalOfPoint, type Diagram } from '../diagram/diagram'

/** Two conductors at the thermostat plate, and what they read with the unit isolated and all in order. */
export interface PlatePair {
  readonly from: string
  readonly to: string
  /** Ohms; null is out of range. */
  readonly expected: number | null
}

/**
 * Signatures of the conductors at the thermostat plate, taken with power off before the unit is even found:
 * each to
 * common, and to ground. Back-feeds through other coils read in parallel, as they do on the wall.
 */
export function platePairs(diagram: Diagram): readonly PlatePair[] {
  const plate = [...diagram.points.keys()].filter((point) => partOfPoint(point) === diagram.plate)
  if (plate.length === 0) return []
  const { healthy } = new Circuit(diagram, situationOf(diagram, diagram.calls[0].id, 'off'))
  const { nodes, earthNode } = healthy.circuit.network
  const own = `${diagram.plate}.${terminalOfPoint(diagram.common)}`
  const common = plate.includes(own) ? own : diagram.common
  const ohms = (from: string, to: string): number | null =>
    valueBetween(
      healthy,
      'ohms',
      nodes.get(from) ?? earthNode,
      to === 'EARTH' ? earthNode : (nodes.get(to) ?? earthNode),
    )
  return [
    ...plate
      .filter((point) => point !== common)
      .map((from): PlatePair => ({ from, to: common, expected: ohms(from, common) })),
    { from: plate[0], to: 'EARTH', expected: ohms(plate[0], 'EARTH') },
  ]
}
