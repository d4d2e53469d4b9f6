import { commonNear, commonsOf } from '../diagram/commonNear'
import { partOfPoint, terminalOfPoint, zoneWords, type Trace } from '../diagram/diagram'
import { nodeOf } from '../circuit/meter'
import { asTyped } from '../circuit/meters'
import { conductingPath, type PathStep } from '../circuit/path'
import type { PartSymbol } from '../parts/kind'
import type { Diagnosis } from './diagnose'
import type { Findings } from '../visit/evidence'
import { likely } from './outcomes'
import type { UnitModel } from './predictor'
import type { SituationModel } from './situationModel'
import { situationIn } from './proposals'
import { hotFromVolts } from './hotFromVolts'

/** How a stop of the strip stands: by a reading, by what the suspects agree on, or not known yet. */
export type StopState = 'live' | 'dead' | 'unknown'

export interface Stop {
  readonly point: string
  readonly words: string
  readonly zone: string
  /** How the current got here from the stop above. */
  readonly by:
    | { readonly is: 'start' }
    | { readonly is: 'wire'; readonly color: string; readonly number: string; readonly id: string }
    | { readonly is: 'part'; readonly part: string; readonly words: string; readonly symbol: PartSymbol }
  /** Volts to common that a healthy unit has here now. */
  readonly expected: number
  /** The newest reading to common in this call, volts, and in the digits it was typed in; null: none. */
  readonly measured: { readonly volts: number; readonly words: string } | null
  readonly state: StopState
  /** The reading is not what a healthy unit has. */
  readonly contradicted: boolean
}

export interface Strip {
  readonly words: string
  readonly stops: readonly Stop[]
}

/** Share of the suspects' weight that must agree before an unmeasured stop is called live or dead. */
const agreed = 0.97

/** The paths of the call now set, stop by stop, from source through load and back to common. */
export function stripsOf(diagnosis: Pick<Diagnosis, 'model' | 'findings' | 'belief'>): readonly Strip[] {
  const { model, findings, belief } = diagnosis
  const { diagram } = model
  const situation = situationIn(diagnosis, findings.now)
  const which = likely(belief)
  return diagram.traces
    .filter(({ call }) => call === findings.now.call)
    .flatMap((trace) => {
      const path = wholePath(situation, trace)
      return path
        ? [
            {
              words: trace.words,
              stops: path.flatMap((step, k) => stopOf(diagnosis, situation, which, step, path[k - 1])),
            },
          ]
        : []
    })
}

/**
 * The paths as the readings alone have them: past the last point that was read live, what was not read is not
 * known.
 */
export const measuredStrips = (model: UnitModel, findings: Findings): readonly Strip[] =>
  healthyStrips(model, findings).map(({ words, stops }) => {
    const lastLive = stops.findLastIndex(({ measured, state }) => measured !== null && state === 'live')
    const isUnread = (stop: Stop, k: number): boolean =>
      k > lastLive && stop.measured === null && stop.expected > hotFromVolts
    return {
      words,
      stops: stops.map((stop, k) => (isUnread(stop, k) ? { ...stop, state: 'unknown' as const } : stop)),
    }
  })

/** The paths of a unit that nothing is wrong with, and what was read on them. */
export function healthyStrips(model: UnitModel, findings: Findings): readonly Strip[] {
  return stripsOf({
    model,
    findings,
    belief: {
      probability: Float64Array.of(1),
      weight: [],
      repairedFaults: [],
      reasons: [],
      factors: [],
      where: [],
      blown: [],
      opened: [],
      away: [],
    },
  })
}

function wholePath(situation: SituationModel, trace: Trace): readonly PathStep[] | null {
  const { circuit } = situation
  const { network, healthy } = circuit
  const there = conductingPath(circuit, nodeOf(healthy, trace.from), nodeOf(healthy, trace.to))
  if (!there) return null
  const terminal = terminalOfPoint(trace.to)
  const part = network.diagram.parts.get(partOfPoint(trace.to))
  const load = part?.kind
    .branches(part.settings, {})
    .find(
      ({ from, to, role }) => (role === 'coil' || role === 'load') && (from === terminal || to === terminal),
    )
  if (!part || !load) return there
  const far = network.nodes.get(`${part.id}.${load.from === terminal ? load.to : load.from}`)
  const link = network.linkNumbers.get(`${part.id}/${load.name}`)
  if (far === undefined || link === undefined) return there
  const back = conductingPath(
    circuit,
    far,
    nodeOf(healthy, network.diagram.common),
    new Set(there.map(({ node }) => node)),
  )
  return back ? [...there, { node: far, link }, ...back.slice(1)] : there
}

function stopOf(
  diagnosis: Pick<Diagnosis, 'model' | 'findings' | 'belief'>,
  situation: SituationModel,
  which: readonly number[],
  step: PathStep,
  before: PathStep | undefined,
): readonly Stop[] {
  const { model, findings, belief } = diagnosis
  const { network } = situation.circuit
  const { diagram } = model
  const point = diagram.points.get(network.nodeNames[step.node])
  if (!point) return []
  const black = commonNear(diagram, point.id)
  const predicted =
    point.id === diagram.common ? null : situation.predict('volts', point.id, black, [0, ...which])
  const expected = predicted ? predicted[0] : 0
  const measured = newestReading(diagnosis, point.id)
  const threshold = Math.max(hotFromVolts, expected / 2)
  const liveShare = predicted
    ? which.reduce((sum, h) => (predicted[h] > threshold ? sum + belief.probability[h] : sum), 0)
    : 0
  const state: StopState =
    measured !== null
      ? measured.volts > threshold
        ? 'live'
        : 'dead'
      : findings.now.power === 'off' || point.id === diagram.common
        ? 'dead'
        : liveShare > agreed
          ? 'live'
          : liveShare < 1 - agreed
            ? 'dead'
            : 'unknown'
  return [
    {
      point: point.id,
      words: point.words,
      zone: zoneWords(diagram, point.zone),
      by: leads(situation, step, before),
      expected,
      measured,
      state,
      contradicted: measured !== null && Math.abs(measured.volts - expected) > Math.max(1.5, 0.15 * expected),
    },
  ]
}

function leads(situation: SituationModel, step: PathStep, before: PathStep | undefined): Stop['by'] {
  const { network } = situation.circuit
  if (!before || step.link < 0) return { is: 'start' }
  const link = network.links[step.link]
  if (link.part)
    return { is: 'part', part: link.part.id, words: link.part.words, symbol: link.part.kind.symbol }
  const wire = network.diagram.wires.get(link.id)
  return wire
    ? { is: 'wire', color: wire.color, number: wire.number, id: wire.id }
    : { is: 'wire', color: 'test lead', number: '', id: link.id }
}

function newestReading(
  { findings, model }: Pick<Diagnosis, 'model' | 'findings'>,
  point: string,
): Stop['measured'] {
  const { now, evidence } = findings
  const commons = commonsOf(model.diagram)
  for (const piece of [...evidence].reverse()) {
    if (piece.kind !== 'reading' || (piece.meter !== 'volts' && piece.meter !== 'loz')) continue
    if (
      piece.standing.call !== now.call ||
      piece.standing.power !== now.power ||
      piece.standing.repairs !== now.repairs
    )
      continue
    const isOfIt =
      (commons.has(piece.to) && piece.from === point) || (commons.has(piece.from) && piece.to === point)
    if (isOfIt && piece.value !== null)
      return { volts: piece.value, words: asTyped(piece.value, piece.meter, piece.typed) }
  }
  return null
}
