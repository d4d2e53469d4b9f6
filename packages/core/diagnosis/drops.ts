import type { Circuit } from '../circuit/circuit'
import { conductingPath, type PathStep } from '../circuit/path'
import type { Candidate } from './candidates'
import { isPowerLoad } from '../parts/powerLoad'

/** Currents below this in the healthy circuit leave no drop to be read, amperes. */
const carriesAmps = 0.02
const out = new Float64Array(2)

/**
 * Drops along what carries current in this call: millivolts from where a path enters a section of the unit to
 * each place
 * in it behind a contact, fuse or plug. Both leads reach from one spot. One reading covers every connection
 * between; a
 * burnt one is then found by halving.
 */
export function pathDrops(circuit: Circuit): readonly Candidate[] {
  const { network } = circuit
  const { points } = network.diagram
  const seen = new Set<string>()
  return [...tracePaths(circuit), ...linePaths(circuit)].flatMap((path) => {
    const last = path[path.length - 1]
    if (last === undefined || path.length < 4 || !carries(circuit, last.link)) return []
    const entered = new Map<string, string>()
    return path.flatMap(({ node, link }): readonly Candidate[] => {
      const to = network.nodeNames[node]
      const zone = points.get(to)?.zone
      if (zone === undefined) return []
      const from = entered.get(zone)
      if (from === undefined) {
        entered.set(zone, to)
        return []
      }
      const key = `${from} ${to}`
      if (network.links[link].part === null || seen.has(key)) return []
      seen.add(key)
      return [{ meter: 'millivolts', from, to }]
    })
  })
}

const carries = (circuit: Circuit, link: number): boolean => {
  circuit.healthy.ac.amps(link, out)
  return Math.hypot(out[0], out[1]) > carriesAmps
}

function tracePaths(circuit: Circuit): readonly (readonly PathStep[])[] {
  const { network, situation } = circuit
  return network.diagram.traces
    .filter(({ call }) => call === situation.call)
    .flatMap(({ from, to }) => {
      const a = network.nodes.get(from)
      const b = network.nodes.get(to)
      return a === undefined || b === undefined ? [] : [conductingPath(circuit, a, b) ?? []]
    })
}

/** From the supply's legs to every motor and heater that runs in this call. */
function linePaths(circuit: Circuit): readonly (readonly PathStep[])[] {
  const { network } = circuit
  const sources = network.links.filter(({ role }) => role === 'source').map(({ a }) => a)
  const loads = network.links.filter(
    ({ role, part }, link) => role === 'load' && part && isPowerLoad(part.kind) && carries(circuit, link),
  )
  const ends = [...new Set(loads.flatMap(({ a, b }) => [a, b]))].filter((node) =>
    network.diagram.points.has(network.nodeNames[node]),
  )
  return ends.flatMap((end) => {
    const reached = sources
      .map((source) => conductingPath(circuit, source, end))
      .filter((path) => path !== null)
    const shortest = reached.reduce<readonly PathStep[] | null>(
      (best, path) => (best === null || path.length < best.length ? path : best),
      null,
    )
    return shortest ? [shortest] : []
  })
}
