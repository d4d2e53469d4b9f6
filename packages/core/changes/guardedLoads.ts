import type { Circuit } from '../circuit/circuit'
import { loadAmps, runsFromAmps } from '../circuit/loadAmps'
import type { Part } from '../diagram/diagram'
import type { Effect } from '../parts/effect'

/**
 * Which running loads each safety control of a unit stops in the call that is set: found by opening its contacts one
 * by one in the solved circuit, so that a control counts where it works, wherever it is wired. Guard → loads.
 */
export function guardedLoads(circuit: Circuit): ReadonlyMap<string, ReadonlySet<string>> {
  const running = [...loadAmps(circuit.healthy)].filter(([, amps]) => amps >= runsFromAmps)
  const guards = [...circuit.diagram.parts.values()].filter(({ kind }) => kind.guard)
  return new Map(
    guards.map((guard) => {
      const opened = openings(guard).map((effect) => loadAmps(circuit.vary([effect])))
      const stopped = running.filter(([load]) => opened.some((amps) => (amps.get(load) ?? 0) < runsFromAmps))
      return [guard.id, new Set(stopped.map(([load]) => load))]
    }),
  )
}

/** Each contact of a part opened. */
const openings = ({ id, kind, settings }: Part): readonly Effect[] =>
  kind
    .branches(settings, {})
    .filter(({ role, from, states }) => role === 'contact' && from !== 'EARTH' && 'open' in states)
    .map(({ name }) => ({ does: 'hold', branch: `${id}/${name}`, state: 'open' }))
