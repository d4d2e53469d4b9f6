import { nodeOf } from '../circuit/meter'
import { conductingPath } from '../circuit/path'
import type { SituationModel } from './situationModel'

const known = new WeakMap<SituationModel, ReadonlyMap<string, number>>()

/** The points on the traces of a call with their places, from source to load; kept with the situation. */
export function pathPlaces(situation: SituationModel, call: string): ReadonlyMap<string, number> {
  const kept = known.get(situation)
  if (kept) return kept
  const { network, healthy } = situation.circuit
  const places = new Map<string, number>()
  for (const { from, to } of network.diagram.traces.filter((trace) => trace.call === call))
    for (const { node } of conductingPath(situation.circuit, nodeOf(healthy, from), nodeOf(healthy, to)) ??
      []) {
      const name = network.nodeNames[node]
      if (!places.has(name)) places.set(name, places.size)
    }
  known.set(situation, places)
  return places
}

export const pathPoints = (situation: SituationModel, call: string): ReadonlySet<string> =>
  new Set(pathPlaces(situation, call).keys())
