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

function weigh(
  model: UnitModel, findings: Findings, evidence: readonly Evidence[], repairedFaults: readonly number[], repairs: number,
): Omit<Belief, 'repairedFaults'> {
  const { hypotheses } = model
  const all = hypotheses.map((_, h) => h)
  const log = Float64Array.from(hypotheses, ({ prior }) => Math.log(prior))
  const good = new Set(findings.repaired.slice(0, repairs))
  hypotheses.forEach((hypothesis, h) => {
    if (hypothesis.of.some((part) => good.has(part))) log[h] = -Infinity
  })
  if (repairs === 0) addComplaint(model, findings, log)
  const weight = evidence.map((piece) => {
    const situation = model.situation(piece.standing, stillThere(model, repairedFaults, piece.standing))
    const row = new Float64Array(hypotheses.length)
    if (piece.kind === 'reading') {
      const predicted = situation.predict(piece.meter, piece.from, piece.to, all)
      for (const h of all) {
        const chance = likelihood(piece.meter, piece.value, Number.isNaN(predicted[h]) ? null : predicted[h])
        const moving = situation.settle(h).oscillates
        row[h] = Math.log(moving ? (1 - movingTarget) * chance + movingTarget * 0.02 : chance)
      }
    } else
      for (const h of all) {
        const seen = situation.looks(h, piece.of).includes(piece.what)
        row[h] = Math.log(seen ? lookChance.hit : lookChance.falseAlarm)
      }
    for (const h of all) log[h] += row[h]
    return row
  })
  return { probability: normalise(log), weight }
}

function addComplaint(model: UnitModel, findings: Findings, log: Float64Array): void {
  const complaint = model.diagram.complaints.find(({ id }) => id === findings.complaint)
  if (!complaint) return
  const situation = model.situation(atArrival(model.diagram, complaint.call))
  for (let h = 0; h < log.length; h++) if (!situation.showsSymptom(h)) log[h] += Math.log(complaintWithoutSymptom)
}

function normalise(log: Float64Array): Float64Array {
  const top = log.reduce((a, b) => Math.max(a, b), -Infinity)
  const raw = log.map((value) => Math.exp(value - top))
  const total = raw.reduce((a, b) => a + b, 0)
  return raw.map((value) => value / total)
}
