import { Circuit, type Settled } from '../circuit/circuit'
import { runsFromAmps } from '../circuit/loadAmps'
import { clampAmps, valueBetween } from '../circuit/meter'
import type { Network } from '../circuit/network'
import { situationOf } from '../circuit/situation'
import { terminalOfPoint, type Diagram, type Part } from '../diagram/diagram'
import type { Conditions } from '../parts/kind'
import { isPowerLoad } from '../parts/powerLoad'
import { isOfRunning } from '../parts/surroundings'
import { returnAirSpan, supplyAirSpan } from './usualSpan'
import type { ProofLine, ProofSheet } from './proofLine'

/**
 * For every call of a unit: control volts, amps of each load that runs (of three legs each), and that off
 * means off. What was measured of weather, water and supply holds; a pressure that was low for the fault is
 * not what a unit in order has: it would take the compressor that it stops off the sheet.
 */
export function proofSheets(diagram: Diagram, measured: Conditions): readonly ProofSheet[] {
  const conditions = Object.fromEntries(Object.entries(measured).filter(([of]) => !isOfRunning(of)))
  return diagram.calls.map(({ id, words }) => ({ call: id, words, lines: linesOf(diagram, id, conditions) }))
}

type Leg = ProofLine & { readonly amps: number }

/** Every wire of a load’s own that carries line current, with what it carries. */
function legsOf(diagram: Diagram, network: Network, healthy: Settled, part: Part): readonly Leg[] {
  const isOwn = (point: string): boolean => point.startsWith(`${part.id}.`)
  const seen = new Set<string>()
  return [...diagram.wires.values()].flatMap(({ id, from, to, wiring }): readonly Leg[] => {
    const link = network.linkNumbers.get(id)
    if (wiring !== 'line' || link === undefined || (!isOwn(from) && !isOwn(to))) return []
    const terminal = isOwn(from) ? from : to
    if (seen.has(terminal)) return []
    seen.add(terminal)
    const amps = clampAmps(healthy, link)
    return [
      {
        what: `${part.words}, at ${terminal}`,
        at: { meter: 'amps', from, to },
        unit: 'A',
        expected: amps,
        amps,
      },
    ]
  })
}

const airLines: readonly ProofLine[] = [
  { what: 'Return air', at: null, unit: '°F', expected: null, usual: returnAirSpan },
  { what: 'Supply air, after 10 to 15 minutes', at: null, unit: '°F', expected: null, usual: supplyAirSpan },
]

function linesOf(diagram: Diagram, call: string, conditions: Conditions): readonly ProofLine[] {
  const { healthy } = new Circuit(diagram, situationOf(diagram, call, 'on', conditions))
  const { network } = healthy.circuit
  const control: ProofLine[] = []
  const r = network.nodes.get(diagram.hot ?? '')
  const common = network.nodes.get(diagram.common)
  if (diagram.hot !== null && r !== undefined && common !== undefined)
    control.push({
      what: `Control power, ${terminalOfPoint(diagram.hot)} to ${terminalOfPoint(diagram.common)}`,
      at: { meter: 'volts', from: diagram.hot, to: diagram.common },
      unit: 'V',
      expected: valueBetween(healthy, 'volts', r, common),
    })
  const legs = [...diagram.parts.values()]
    .filter(({ kind }) => isPowerLoad(kind))
    .flatMap((part): readonly Leg[] => {
      const all = legsOf(diagram, network, healthy, part)
      // on one phase what goes in comes out again: the wire that carries the most of it is read
      return part.kind.threePhase
        ? all
        : all
            .slice()
            .sort((x, y) => y.amps - x.amps)
            .slice(0, 1)
    })
  const running = legs.filter(({ amps }) => amps >= runsFromAmps).map(({ amps: _, ...line }) => line)
  const air = running.length > 0 ? airLines : []
  // off means off: what could still run is looked at once
  const still =
    running.length === 0
      ? legs
          .slice(0, 1)
          .map(({ amps: _, ...line }): ProofLine => ({ ...line, what: `${line.what}: nothing runs` }))
      : []
  return [...control, ...running, ...still, ...air]
}
