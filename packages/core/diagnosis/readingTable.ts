import { commonNear } from '../diagram/commonNear'
import { nodeOf } from '../circuit/meter'
import { conductingPath } from '../circuit/path'
import { isolatedCandidates, liveCandidates, type Candidate } from './candidates'
import { pathDrops } from './drops'
import { outcomeNumbers, type Fineness } from './outcomeNumbers'
import type { UnitModel } from './predictor'
import { atArrival, type Standing } from '../visit/standing'

/** A reading in a call or isolated, with what each hypothesis has it show. */
export interface TableRow extends Candidate {
  readonly standing: Standing
  /** Place along the paths of the calls; Infinity beside them. */
  readonly hop: number
  readonly atPlug: boolean
  /** Number of the outcome that each hypothesis gives, by hypothesis number. */
  readonly outcome: Int32Array
  readonly outcomes: number
}

/** Every reading of every call, and ohms isolated, with its outcome by hypothesis. */
export function readingTable(model: UnitModel, fineness: Fineness): readonly TableRow[] {
  const { diagram } = model
  const all = model.everySingle
  const base = atArrival(diagram, diagram.calls[0].id)
  const row = (candidate: Candidate, standing: Standing, hops: ReadonlyMap<string, number>): TableRow => {
    const outcome = outcomeNumbers(
      candidate.meter,
      model.situation(standing).predict(candidate.meter, candidate.from, candidate.to, all),
      all.length,
      fineness,
    )
    return {
      ...candidate,
      standing,
      outcome,
      hop: hops.get(candidate.from) ?? Infinity,
      atPlug: diagram.parts.get(candidate.from.split('.')[0])?.kind.pulledApart !== undefined,
      outcomes: outcome.reduce((most, number) => Math.max(most, number + 1), 0),
    }
  }
  const live = diagram.calls.flatMap((call) => {
    const standing: Standing = { ...base, call: call.id }
    const hops = hopsOf(model, standing)
    const candidates = [...liveCandidates(diagram), ...pathDrops(model.situation(standing).circuit)]
    return candidates.map((candidate) =>
      row(candidate, standing, candidate.to === commonNear(diagram, candidate.from) ? hops : new Map()),
    )
  })
  const isolated: Standing = { ...base, power: 'off' }
  const rows = [
    ...live,
    ...isolatedCandidates(diagram).map((candidate) => row(candidate, isolated, new Map())),
  ]
  return rows.filter(({ outcomes }) => outcomes > 1)
}

/** The points on a call's paths, numbered from source to load. */
function hopsOf(model: UnitModel, standing: Standing): ReadonlyMap<string, number> {
  const { circuit } = model.situation(standing)
  const hops = new Map<string, number>()
  for (const trace of model.diagram.traces.filter(({ call }) => call === standing.call))
    for (const { node } of conductingPath(
      circuit,
      nodeOf(circuit.healthy, trace.from),
      nodeOf(circuit.healthy, trace.to),
    ) ?? []) {
      const name = circuit.network.nodeNames[node]
      if (!hops.has(name)) hops.set(name, hops.size)
    }
  return hops
}
