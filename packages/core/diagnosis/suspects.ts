import type { Effect, Fault } from '../diagram/effect'
import type { Evidence, Findings } from './evidence'
import { readingOf } from './grouping'
import type { Hypothesis } from './hypothesis'
import { likelihood, lookChance } from './likelihood'
import type { DropPoint } from '../visit/entry'
import type { SituationModel, UnitModel } from './predictor'
import { weighPriors, type PriorReason, type UnitFacts } from './priors'
import { atArrival, type Standing } from './standing'

/** Chance of hearing the complaint from a unit whose loads all do what they should. */
const complaintWithoutSymptom = 0.05
/** Chance of a setting being found as a hypothesis has it, and otherwise. */
const foundSetChance = { hit: 0.97, miss: 0.004 } as const
/** Weight left of a fault under a measured condition that speaks against it. */
const excludedShare = 0.04
/** What an oscillating circuit reads depends on the moment: half the weight is spread. */
const movingTarget = 0.5
/** Where nothing bounds what a moving reading may be. */
const elsewhereDensity = 0.02
type Reading = Extract<Evidence, { readonly kind: 'reading' }>

/** Log-likelihood of each hypothesis under each piece of evidence, and the posterior over all. */
export interface Belief {
  /** Posterior probability by hypothesis number. */
  readonly probability: Float64Array
  /** `weight[e][h]`: log-likelihood of evidence e under hypothesis h. */
  readonly weight: readonly Float64Array[]
  /** Faults that were there before each repair, found by the evidence up to it. */
  readonly repairedFaults: readonly number[]
  /** Why some faults were thought more or less likely before any evidence. */
  readonly reasons: readonly PriorReason[]
}

/** The effects of the faults that were still there at a standing, though they have been put right since. */
export const stillThere = (model: UnitModel, repairedFaults: readonly number[], standing: Standing): readonly Effect[] =>
  repairedFaults.slice(standing.repairs).flatMap((h) => (h < 0 ? [] : model.hypotheses[h].effects))

/**
 * Bayes over all hypotheses (de Kleer & Williams 1987). What was repaired is known good from then on: evidence from
 * before is read with that part's fault still in place.
 */
export function believe(model: UnitModel, findings: Findings, facts: UnitFacts = {}): Belief {
  const priors = weighPriors(model.diagram, model.hypotheses, {
    ...facts, complaint: findings.complaint, replaced: findings.replaced, outdoorDryBulb: findings.now.conditions.outdoorDryBulb ?? null,
  })
  const repairedFaults: number[] = []
  for (let repair = 0; repair < findings.repaired.length; repair++) {
    const before = weigh(model, priors.factor, findings, findings.evidence.filter(({ standing }) => standing.repairs === repair), repairedFaults, repair)
    repairedFaults.push(blame(model, before.probability, findings.repaired[repair]))
  }
  const belief = weigh(model, priors.factor, findings, findings.evidence, repairedFaults, findings.repaired.length)
  return { ...belief, repairedFaults, reasons: priors.table }
}

/** The most probable fault of the repaired part or wire; −1 where the model knows none. */
function blame(model: UnitModel, probability: Float64Array, repaired: string): number {
  let best = -1
  model.hypotheses.forEach((hypothesis, h) => {
    const its = hypothesis.of.includes(repaired) || hypothesis.id === repaired
    if (its && (best < 0 || probability[h] > probability[best])) best = h
  })
  return best
}

type Weighed = Omit<Belief, 'repairedFaults' | 'reasons'>

function weigh(
  model: UnitModel, factor: Context['factor'], findings: Findings, evidence: readonly Evidence[], repairedFaults: readonly number[], repairs: number,
): Weighed {
  const context: Context = { model, factor, findings, evidence, repairedFaults, good: new Set(findings.repaired.slice(0, repairs)), complained: repairs === 0 }
  const singles = Array.from({ length: model.singles }, (_, h) => h)
  const first = weighAll(context, singles)
  const pairs = pairsWorthTrying(context, first)
  return pairs.length === 0 ? first : weighAll(context, [...singles, ...pairs])
}

interface Context {
  readonly model: UnitModel
  /** On the prior of a hypothesis. */
  readonly factor: (hypothesis: Hypothesis) => number
  readonly findings: Findings
  readonly evidence: readonly Evidence[]
  readonly repairedFaults: readonly number[]
  /** Parts known good since they were repaired. */
  readonly good: ReadonlySet<string>
  readonly complained: boolean
}

function weighAll({ model, factor, findings, evidence, repairedFaults, good, complained }: Context, which: readonly number[]): Weighed {
  const { hypotheses } = model
  const log = new Float64Array(hypotheses.length).fill(-Infinity)
  for (const h of which) if (!hypotheses[h].of.some((part) => good.has(part))) log[h] = Math.log(hypotheses[h].prior * factor(hypotheses[h]))
  if (complained) addComplaint(model, findings, log, which)
  for (const h of which) log[h] += excluded(hypotheses[h].faults, findings) * Math.log(excludedShare)
  const intermittent = evidence.some(({ kind }) => kind === 'drop-out')
  const weight = evidence.map((piece) => {
    const also = stillThere(model, repairedFaults, piece.standing)
    const row = weighPiece(model, piece, model.situation(piece.standing, also), which, intermittent)
    if (piece.standing.age !== null) {
      // the call may have stood for longer than anybody said
      const settled = weighPiece(model, piece, model.situation({ ...piece.standing, age: null }, also), which, intermittent)
      for (const h of which) row[h] = Math.log(clockTrust * Math.exp(row[h]) + (1 - clockTrust) * Math.exp(settled[h]))
    }
    for (const h of which) log[h] += row[h]
    return row
  })
  return { probability: normalise(log), weight }
}

/** How far the seconds that were said are believed. */
const clockTrust = 0.75

/** Log-likelihood of one piece of evidence in one situation, by hypothesis. */
function weighPiece(model: UnitModel, piece: Evidence, situation: SituationModel, which: readonly number[], intermittent: boolean): Float64Array {
  const row = new Float64Array(model.hypotheses.length).fill(-Infinity)
  if (piece.kind === 'reading') {
    const predicted = situation.predict(piece.meter, piece.from, piece.to, [0, ...which])
    // a fault that comes and goes is away for most readings
    let density: number | null = null
    const moving = (): number => (density ??= movingDensity(piece, situation))
    const asHealthy = intermittent ? likelihood(piece.meter, piece.value, readingOf(predicted[0])) : 0
    for (const h of which) {
      const chance = likelihood(piece.meter, piece.value, readingOf(predicted[h]))
      const steady = situation.settle(h).oscillates ? (1 - movingTarget) * chance + movingTarget * moving() : chance
      row[h] = Math.log(intermittent ? atRestShare * asHealthy + (1 - atRestShare) * steady : steady)
    }
  } else if (piece.kind === 'drop-out') {
    for (const h of which) row[h] = dropOutWeight(situation, piece, which, h)
  } else if (piece.kind === 'look') {
    const usual = piece.what === 'code' ? situation.looks(0, piece.of) : null
    for (const h of which) row[h] = Math.log(shows(situation.looks(h, piece.of), piece.what, usual) ? lookChance.hit : lookChance.falseAlarm)
  } else {
    const { part, setting, to } = piece.found
    for (const h of which) row[h] = Math.log(situation.settingOf(h, part, setting) === to ? foundSetChance.hit : foundSetChance.miss)
  }
  return row
}

/** Density of a reading on a circuit that will not rest: volts may be anything that its two points can have between them. */
function movingDensity({ meter, from, to, value }: Reading, situation: SituationModel): number {
  if (meter !== 'volts' && meter !== 'loz') return elsewhereDensity
  const most = [from, to].reduce((sum, point) => sum + (point === 'EARTH' ? 0 : situation.predict('volts', point, 'EARTH', [0])[0]), 1)
  return value !== null && value <= 1.2 * most ? 1 / (1.2 * most) : 0
}

/** Chance that a channel of a logged stretch falls, or holds, as a suspect has it. */
const channelRight = 0.93
/** Share of the time that a fault which comes and goes is away. */
const atRestShare = 0.7

/** How well a suspect has those channels fall that fell, and those hold that held. */
function dropOutWeight(situation: SituationModel, { fell, held }: Evidence & { kind: 'drop-out' }, which: readonly number[], h: number): number {
  const falls = ({ from, to }: DropPoint): boolean => {
    const predicted = situation.predict('volts', from, to, [0, ...which])
    return situation.settle(h).oscillates || predicted[h] < 0.6 * predicted[0]
  }
  const right = fell.filter(falls).length + held.filter((channel) => !falls(channel)).length
  const wrong = fell.length + held.length - right
  return right * Math.log(channelRight) + wrong * Math.log(1 - channelRight)
}

/** Whether a look shows a word; a bare `code`: any other code than a healthy unit's. */
const shows = (seen: readonly string[], what: string, usual: readonly string[] | null): boolean =>
  usual ? seen.some((word) => word.startsWith('code ') && !usual.includes(word)) : seen.includes(what)

/** Log-likelihood that a hypothesis may lose on a piece of evidence and still be said to explain it. */
const explains = 3
/** How many single faults, at the most, are tried in pairs. */
const paired = 26

/** Pairs of single faults, where no single one explains every piece of evidence: those that explain what others leave. */
function pairsWorthTrying({ model, evidence }: Context, { weight, probability }: Weighed): readonly number[] {
  if (evidence.length < 2) return []
  const best = weight.map((row) => row.reduce((a, b) => Math.max(a, b), -Infinity))
  const leaves = (h: number): readonly number[] => weight.flatMap((row, e) => (best[e] - row[h] > explains ? [e] : []))
  const order = Array.from({ length: model.singles }, (_, h) => h).filter((h) => h > 0 && probability[h] > 0).sort((a, b) => probability[b] - probability[a])
  if (order.length === 0 || order.slice(0, 40).some((h) => leaves(h).length === 0)) return []
  // leading suspects, and for each piece that the leader leaves open those that explain it with the least else against them
  const chosen = new Set(order.slice(0, paired / 2))
  for (const e of leaves(order[0]))
    for (const h of order.filter((candidate) => best[e] - weight[e][candidate] < 1).slice(0, Math.ceil(paired / 2))) chosen.add(h)
  const few = [...chosen].slice(0, 2 * paired)
  return few.flatMap((a, k) => few.slice(k + 1).filter((b) => differ(model, a, b)).map((b) => model.pair(a, b)))
}

const differ = (model: UnitModel, a: number, b: number): boolean => !sameBranch(model.hypotheses[a].effects, model.hypotheses[b].effects)

/** Two faults of one branch are not independent of each other. */
const sameBranch = (a: readonly Effect[], b: readonly Effect[]): boolean => {
  const touched = new Set(a.map((effect) => ('branch' in effect ? effect.branch : '')))
  return b.some((effect) => 'branch' in effect && touched.has(effect.branch))
}

/** How many of these faults cannot well be under what was measured outside the circuit. */
const excluded = (faults: readonly Fault[], { now }: Findings): number => faults.filter(({ unless }) => {
  const value = unless ? now.conditions[unless.of] : undefined
  return unless !== undefined && value !== undefined && (unless.above === undefined || value > unless.above) && (unless.below === undefined || value < unless.below)
}).length

function addComplaint(model: UnitModel, findings: Findings, log: Float64Array, which: readonly number[]): void {
  const complaint = model.diagram.complaints.find(({ id }) => id === findings.complaint)
  if (!complaint) return
  const situation = model.situation(atArrival(model.diagram, complaint.call))
  for (const h of which) if (!situation.showsSymptom(h)) log[h] += Math.log(complaintWithoutSymptom)
}

function normalise(log: Float64Array): Float64Array {
  const top = log.reduce((a, b) => Math.max(a, b), -Infinity)
  const raw = log.map((value) => Math.exp(value - top))
  const total = raw.reduce((a, b) => a + b, 0)
  return raw.map((value) => value / total)
}
