import { nodeOf, type Meter } from '../circuit/meter'
import { conductingPath } from '../circuit/path'
import { partOfPoint, type Diagram } from '../diagram/diagram'
import { costOf, defaultCosts, isolatedCandidates, liveCandidates, type Candidate, type CostRules } from './candidates'
import type { Findings } from './evidence'
import { blunderChance, distinct } from './likelihood'
import type { Predictions, SituationModel, UnitModel } from './predictor'
import type { Standing } from './standing'
import { stillThere, type Belief } from './suspects'

/** One of the outcomes that a step can tell apart. */
export interface Outcome {
  /** What the most probable suspect in it predicts; null is OL. Of a look, 0. */
  readonly value: number | null
  /** What is seen, of a look. */
  readonly seen?: string
  readonly probability: number
  /** Hypothesis numbers, most probable first. */
  readonly hypotheses: readonly number[]
}

/** A reading to take or a thing to look at. */
export type Step = ReadingStep | LookStep

export interface ReadingStep extends Candidate, StepFacts {
  readonly do: 'measure'
  /** What a healthy unit reads. */
  readonly healthy: number | null
}

export interface LookStep extends StepFacts {
  readonly do: 'look'
  /** The part to look at. */
  readonly of: string
  /** What a healthy unit shows. */
  readonly healthy: string
}

interface StepFacts {
  readonly call: string
  readonly power: Standing['power']
  /** Expected information, bits. */
  readonly bits: number
  /** Seconds, risk and reach counted in. */
  readonly cost: number
  readonly outcomes: readonly Outcome[]
}

/** Suspects less probable than this do not steer the choice. */
const negligible = 2e-5
/** Information below which a reading is not worth taking, bits. */
const worthwhileBits = 0.02

/** Readings and looks in order of expected information per cost, best first; empty when none would tell anything. */
export function rankReadings(model: UnitModel, findings: Findings, belief: Belief, count = 3, costs: CostRules = defaultCosts): readonly Step[] {
  const { diagram } = model
  const open = openZones(diagram, findings)
  const which = likely(belief)
  const here = stepsIn(model, findings, belief, which, findings.now, liveCandidates(diagram), open, costs)
  const steps: Step[] = [...here, ...looksIn(model, findings, belief, which, open)]
  if (best(here) < 0.25) {
    for (const call of diagram.calls) {
      if (call.id === findings.now.call && findings.now.power === 'on') continue
      const standing: Standing = { ...findings.now, call: call.id, power: 'on' }
      steps.push(...stepsIn(model, findings, belief, which, standing, liveCandidates(diagram), open, costs))
    }
    steps.push(...stepsIn(model, findings, belief, which, { ...findings.now, power: 'off' }, isolatedCandidates(diagram), open, costs))
  }
  return pick(steps, count)
}

const best = (steps: readonly Step[]): number => steps.reduce((most, { bits }) => Math.max(most, bits), 0)

/** The first `count`, leaving out those that tell nothing but what a better one tells at nearly the same place. */
function pick(steps: readonly Step[], count: number): readonly Step[] {
  const ranked = steps.filter(({ bits }) => bits > worthwhileBits).sort((a, b) => b.bits / b.cost - a.bits / a.cost)
  const chosen: Step[] = []
  for (const step of ranked) {
    if (chosen.length >= count) break
    const same = chosen.some((other) => Math.abs(other.bits - step.bits) < 1e-6 && partOf(other) === partOf(step))
    if (!same) chosen.push(step)
  }
  return chosen
}

const partOf = (step: Step): string => (step.do === 'look' ? step.of : partOfPoint(step.from))

export const likely = (belief: Belief): readonly number[] => {
  const which: number[] = []
  belief.probability.forEach((probability, h) => {
    if (probability > negligible) which.push(h)
  })
  return which
}

function openZones(diagram: Diagram, findings: Findings): ReadonlySet<string> {
  const open = new Set<string>()
  const board = diagram.points.get(diagram.common)?.zone
  if (board) open.add(board)
  for (const piece of findings.evidence)
    if (piece.kind === 'reading') for (const point of [piece.from, piece.to]) open.add(diagram.points.get(point)?.zone ?? '')
  return open
}

function stepsIn(
  model: UnitModel, findings: Findings, belief: Belief, which: readonly number[], standing: Standing,
  candidates: readonly Candidate[], open: ReadonlySet<string>, costs: CostRules,
): readonly ReadingStep[] {
  const situation = model.situation(standing, stillThere(model, belief.repairedFaults, standing))
  const changes = { call: standing.call !== findings.now.call, power: standing.power !== findings.now.power }
  const path = pathPoints(situation, standing.call)
  const taken = new Set(findings.evidence.flatMap((piece) => (piece.kind === 'reading' && piece.standing.call === standing.call &&
    piece.standing.power === standing.power && piece.standing.repairs === standing.repairs && piece.standing.actions.length === standing.actions.length
    ? [pairKey(piece.meter, piece.from, piece.to)] : [])))
  return candidates
    .filter(({ meter, from, to }) => !taken.has(pairKey(meter, from, to)) && !blocked(model.diagram, findings, from, to))
    .map((candidate): ReadingStep => {
      const predicted = situation.predict(candidate.meter, candidate.from, candidate.to, [0, ...which])
      const outcomes = partition(candidate.meter, predicted, belief, which)
      return {
        do: 'measure', ...candidate, call: standing.call, power: standing.power, outcomes,
        bits: (1 - blunderChance) * entropy(outcomes),
        cost: costOf(model.diagram, candidate, open, path, changes, costs),
        healthy: Number.isNaN(predicted[0]) ? null : predicted[0],
      }
    })
}

/** Seconds for a look at a part whose place is open. */
const lookSeconds = 8
/** A look may miss or mislead: that much of its information is left. */
const lookTrust = 0.6
/** Pairs that a look parts at a glance; other words are not asked for. */
const plainLooks = new Set(['pulled-in', 'dropped-out', 'turning', 'still', 'lamp-on', 'lamp-off', 'open-drawn', 'shut', 'on', 'off', 'dark', 'tripped', 'set'])

/** Looks worth taking now: contactors in or out, motors turning, lamps, damper and valves. */
function looksIn(model: UnitModel, findings: Findings, belief: Belief, which: readonly number[], open: ReadonlySet<string>): readonly LookStep[] {
  const standing = findings.now
  const situation = model.situation(standing, stillThere(model, belief.repairedFaults, standing))
  const taken = new Set(findings.evidence.flatMap((piece) => (piece.kind === 'look' && piece.standing.call === standing.call &&
    piece.standing.power === standing.power && piece.standing.repairs === standing.repairs ? [piece.of] : [])))
  return [...model.diagram.parts.values()]
    .filter((part) => part.kind.looks && !taken.has(part.id) && !findings.unreachable.has(part.id) && !findings.unreachable.has(part.zone))
    .flatMap((part): readonly LookStep[] => {
      const groups = new Map<string, number[]>()
      for (const h of which) {
        const [seen] = situation.looks(h, part.id)
        if (seen === undefined || !plainLooks.has(seen)) return []
        groups.set(seen, [...(groups.get(seen) ?? []), h])
      }
      const outcomes = [...groups].map(([seen, members]): Outcome => {
        const ranked = [...members].sort((a, b) => belief.probability[b] - belief.probability[a])
        return { value: 0, seen, probability: members.reduce((sum, h) => sum + belief.probability[h], 0), hypotheses: ranked }
      }).sort((a, b) => b.probability - a.probability)
      const reach = open.has(part.zone) ? 0 : model.diagram.zones.get(part.zone)?.reachSeconds ?? 0
      return [{
        do: 'look', of: part.id, call: standing.call, power: standing.power, outcomes,
        bits: lookTrust * entropy(outcomes), cost: lookSeconds + reach, healthy: situation.looks(0, part.id)[0] ?? '',
      }]
    })
}

/** The points on the traces of a call. */
function pathPoints(situation: SituationModel, call: string): ReadonlySet<string> {
  const { network, healthy } = situation.circuit
  return new Set(network.diagram.traces.filter((trace) => trace.call === call).flatMap(({ from, to }) =>
    (conductingPath(situation.circuit, nodeOf(healthy, from), nodeOf(healthy, to)) ?? []).map(({ node }) => network.nodeNames[node])))
}

const pairKey = (meter: Meter, from: string, to: string): string => `${meter} ${[from, to].sort().join(' ')}`

const blocked = (diagram: Diagram, findings: Findings, ...points: readonly string[]): boolean =>
  points.some((point) => findings.unreachable.has(point) || findings.unreachable.has(diagram.points.get(point)?.zone ?? ''))

/** Suspects grouped by what they predict: a gap that a person can tell parts two groups. */
export function partition(meter: Meter, predicted: Predictions, belief: Belief, which: readonly number[]): readonly Outcome[] {
  const value = (h: number): number | null => (Number.isNaN(predicted[h]) ? null : predicted[h])
  const order = [...which].sort((a, b) => sortable(predicted[a]) - sortable(predicted[b]))
  const groups: number[][] = []
  for (const h of order) {
    const last = groups[groups.length - 1]
    if (last && !distinct(meter, value(last[last.length - 1]), value(h))) last.push(h)
    else groups.push([h])
  }
  return groups.map((group): Outcome => {
    const ranked = [...group].sort((a, b) => belief.probability[b] - belief.probability[a])
    return { value: value(ranked[0]), probability: group.reduce((sum, h) => sum + belief.probability[h], 0), hypotheses: ranked }
  }).sort((a, b) => b.probability - a.probability)
}

const sortable = (value: number): number => (Number.isNaN(value) ? Infinity : value)

const entropy = (outcomes: readonly Outcome[]): number => {
  const total = outcomes.reduce((sum, { probability }) => sum + probability, 0)
  return outcomes.reduce((sum, { probability }) => {
    const share = probability / total
    return share > 0 ? sum - share * Math.log2(share) : sum
  }, 0)
}
