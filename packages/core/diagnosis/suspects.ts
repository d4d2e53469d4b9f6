import type { Effect } from '../diagram/effect'
import type { Evidence, Findings } from './evidence'
import { likelihood, lookChance } from './likelihood'
import type { UnitModel } from './predictor'
import { atArrival, type Standing } from './standing'

/** Chance of hearing the complaint from a unit whose loads all do what they should. */
const complaintWithoutSymptom = 0.05
/** What an oscillating circuit reads depends on the moment: half the weight is spread. */
const movingTarget = 0.5

/** Log-likelihood of each hypothesis under each piece of evidence, and the posterior over all. */
export interface Belief {
  /** Posterior probability by hypothesis number. */
  readonly probability: Float64Array
  /** `weight[e][h]`: log-likelihood of evidence e under hypothesis h. */
  readonly weight: readonly Float64Array[]
  /** Faults that were there before each repair, found by the evidence up to it. */
  readonly repairedFaults: readonly number[]
}

/** The effects of the faults that were still there at a standing, though they have been put right since. */
export const stillThere = (model: UnitModel, repairedFaults: readonly number[], standing: Standing): readonly Effect[] =>
  repairedFaults.slice(standing.repairs).flatMap((h) => (h < 0 ? [] : model.hypotheses[h].effects))

/**
 * Bayes over all hypotheses (de Kleer & Williams 1987). What was repaired is known good from then on: evidence from
 * before is read with that part's fault still in place.
 */
export function believe(model: UnitModel, findings: Findings): Belief {
  const repairedFaults: number[] = []
  for (let repair = 0; repair < findings.repaired.length; repair++) {
    const before = weigh(model, findings, findings.evidence.filter(({ standing }) => standing.repairs === repair), repairedFaults, repair)
    repairedFaults.push(blame(model, before.probability, findings.repaired[repair]))
  }
  const belief = weigh(model, findings, findings.evidence, repairedFaults, findings.repaired.length)
  return { ...belief, repairedFaults }
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

type Weighed = Omit<Belief, 'repairedFaults'>

function weigh(
  model: UnitModel, findings: Findings, evidence: readonly Evidence[], repairedFaults: readonly number[], repairs: number,
): Weighed {
  const context: Context = { model, findings, evidence, repairedFaults, good: new Set(findings.repaired.slice(0, repairs)), complained: repairs === 0 }
  const singles = Array.from({ length: model.singles }, (_, h) => h)
  const first = weighAll(context, singles)
  const pairs = pairsWorthTrying(context, first)
  return pairs.length === 0 ? first : weighAll(context, [...singles, ...pairs])
}

interface Context {
  readonly model: UnitModel
  readonly findings: Findings
  readonly evidence: readonly Evidence[]
  readonly repairedFaults: readonly number[]
  /** Parts known good since they were repaired. */
  readonly good: ReadonlySet<string>
  readonly complained: boolean
}

function weighAll({ model, findings, evidence, repairedFaults, good, complained }: Context, which: readonly number[]): Weighed {
  const { hypotheses } = model
  const log = new Float64Array(hypotheses.length).fill(-Infinity)
  for (const h of which) if (!hypotheses[h].of.some((part) => good.has(part))) log[h] = Math.log(hypotheses[h].prior)
  if (complained) addComplaint(model, findings, log, which)
  const weight = evidence.map((piece) => {
    const situation = model.situation(piece.standing, stillThere(model, repairedFaults, piece.standing))
    const row = new Float64Array(hypotheses.length).fill(-Infinity)
    if (piece.kind === 'reading') {
      const predicted = situation.predict(piece.meter, piece.from, piece.to, which)
      for (const h of which) {
        const chance = likelihood(piece.meter, piece.value, Number.isNaN(predicted[h]) ? null : predicted[h])
        row[h] = Math.log(situation.settle(h).oscillates ? (1 - movingTarget) * chance + movingTarget * 0.02 : chance)
      }
    } else
      for (const h of which) row[h] = Math.log(situation.looks(h, piece.of).includes(piece.what) ? lookChance.hit : lookChance.falseAlarm)
    for (const h of which) log[h] += row[h]
    return row
  })
  return { probability: normalise(log), weight }
}

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
