import { complaintSaid } from '../visit/complaintSaid'
import type { Findings } from '../visit/evidence'
import type { UnitModel } from './predictor'
import { weighPriors, type PriorReason, type UnitFacts } from './priors'
import { weigh, weighAhead, type Context, type Weighed } from './weighing'

/**
 * What is believed of a unit: the posterior over all hypotheses, and how each piece of evidence speaks of
 * each.
 */
export interface Belief extends Omit<Weighed, 'logChance'> {
  /**
   * The fault that was there before each repair, as the weightiest story has it; −1: nothing was wrong with
   * it.
   */
  readonly repairedFaults: readonly number[]
  /** Why some faults were thought more or less likely before any evidence. */
  readonly reasons: readonly PriorReason[]
}

/** One account of the repairs: what each of them put right. */
interface Story {
  readonly repairedFaults: readonly number[]
  /** Logarithm of its weight by all evidence from before the last repair. */
  readonly logWeight: number
  /**
   * Logarithm of how probable that evidence is to those who know of the repair: what comes later is judged
   * from there.
   */
  readonly logBefore: number
}

/** In a story’s list of repaired faults: nothing was wrong with what was repaired. */
const wasGood = -1
/** How many times as readily a bad part is replaced as a good one, seen by other eyes than the entries’. */
const replacesBad = 10
const mostStories = 4
/** Stories of less weight than this, against the weightiest, are left. */
const toldFrom = Math.log(1e-3)

/**
 * Bayes over all hypotheses (de Kleer & Williams 1987). What was repaired is known good from then on. Whether
 * it was bad
 * before is a question too: each repair splits the story into one in which earlier evidence is read with that
 * part’s
 * fault still in place, and one in which a good part was replaced and the fault that was there is there as
 * ever.
 */
export function believe(model: UnitModel, findings: Findings, facts: UnitFacts = {}): Belief {
  const { repaired } = findings
  const priors = priorsOf(model, findings, facts)
  /** What was found before repair number `until` says to those who know of the first `repairs`. */
  const told: Told = (repairedFaults, repairs, until) =>
    weigh({
      ...accountOf(repairedFaults, repaired.slice(0, repairs)),
      model,
      factor: priors.factor,
      findings,
      evidence: findings.evidence.filter(({ standing }) => standing.repairs <= until),
    })
  const stories = storiesOf(model, findings, facts, told)
  const ends = stories.map(({ repairedFaults }) => told(repairedFaults, repaired.length, repaired.length))
  const shares = normalised(
    stories.map(({ logWeight, logBefore }, k) => logWeight + ends[k].logChance - logBefore),
  )
  const lead = shares.indexOf(Math.max(...shares))
  const probability = new Float64Array(model.hypotheses.length)
  ends.forEach((end, k) => {
    end.probability.forEach((p, h) => {
      probability[h] += shares[k] * p
    })
  })
  return {
    probability,
    reasons: priors.table,
    repairedFaults: stories[lead].repairedFaults,
    factors: ends[lead].factors,
    where: ends[lead].where,
    blown: ends[lead].blown,
    opened: ends[lead].opened,
    away: ends[lead].away,
    // other stories may have thought of further pairs
    weight: ends[lead].weight.map((row) => lengthened(row, probability.length)),
  }
}

/**
 * Does the most of `believe` ahead for when a part has been repaired: it yields after each piece, and may be
 * left at any.
 */
export function* believeAhead(
  { model, findings, belief }: { model: UnitModel; findings: Findings; belief: Belief },
  facts: UnitFacts,
  part: string,
): Generator<undefined, void> {
  const { factor } = priorsOf(model, findings, facts)
  const { evidence } = findings
  for (const { fault } of sidesOf(model, part, belief.probability)) {
    const account = accountOf([...belief.repairedFaults, fault], [...findings.repaired, part])
    yield* weighAhead({ ...account, model, factor, findings, evidence })
  }
}

const priorsOf = (model: UnitModel, { complaint, replaced, now }: Findings, facts: UnitFacts) =>
  weighPriors(model.diagram, model.hypotheses.slice(0, model.singles), {
    ...facts,
    symptom: complaintSaid(model.diagram, complaint)?.means ?? 'any',
    replaced,
    outdoorDryBulb: now.conditions.outdoorDryBulb ?? null,
  })

/** What an account of the repairs has been put right, and is known to be good since. */
const accountOf = (
  repairedFaults: readonly number[],
  repaired: readonly string[],
): Pick<Context, 'repairedFaults' | 'good' | 'complained'> => ({
  repairedFaults,
  good: new Set(repaired),
  // what was complained of may be gone with the first thing put right
  complained: repairedFaults.every((h) => h === wasGood),
})

/** What evidence says under a story, as `believe` has it told. */
type Told = (repairedFaults: readonly number[], repairs: number, until: number) => Weighed

/**
 * Stories of the last few logs, by all that they are made of: most entries come after the last repair and
 * change none.
 */
const known = new WeakMap<UnitModel, Map<string, readonly Story[]>>()
const mostKnown = 8

/** Every account of the repairs that is worth going on with, by what was found before the last of them. */
function storiesOf(
  model: UnitModel,
  { repaired, evidence, complaint, replaced, measured }: Findings,
  facts: UnitFacts,
  told: Told,
): readonly Story[] {
  const first: readonly Story[] = [{ repairedFaults: [], logWeight: 0, logBefore: 0 }]
  if (repaired.length === 0) return first
  const kept = known.get(model) ?? new Map<string, readonly Story[]>()
  known.set(model, kept)
  const key = JSON.stringify([
    repaired,
    evidence.filter(({ standing }) => standing.repairs < repaired.length),
    complaint,
    replaced,
    measured,
    facts,
  ])
  const stories =
    kept.get(key) ??
    repaired.reduce(
      (before, part, repair) =>
        weightiest(
          before.flatMap((story) => {
            const found = told(story.repairedFaults, repair, repair)
            return sidesOf(model, part, found.probability).map(({ fault, share }) => {
              const repairedFaults = [...story.repairedFaults, fault]
              return {
                repairedFaults,
                logWeight: story.logWeight + found.logChance - story.logBefore + Math.log(share),
                logBefore: told(repairedFaults, repair + 1, repair).logChance,
              }
            })
          }),
        ),
      first,
    )
  kept.set(key, stories)
  const [oldest] = kept.keys()
  if (kept.size > mostKnown) kept.delete(oldest)
  return stories
}

function lengthened(row: Float64Array, length: number): Float64Array {
  if (row.length >= length) return row
  const longer = new Float64Array(length).fill(-Infinity)
  longer.set(row)
  return longer
}

/**
 * The two sides of a repair, with the share that evidence from before it gives each: the part had this fault,
 * or none.
 */
function sidesOf(
  model: UnitModel,
  part: string,
  probability: Float64Array,
): readonly { readonly fault: number; readonly share: number }[] {
  const byFault = new Map<string, number>()
  model.hypotheses.forEach(({ faults }, h) => {
    // of a pair only the fault of this part was put right
    for (const { id, of, touching } of faults)
      if (of === part || touching === part || id === part)
        byFault.set(id, (byFault.get(id) ?? 0) + (probability[h] ?? 0))
  })
  const [worst] = [...byFault].sort(([, a], [, b]) => b - a)
  const bad = [...byFault.values()].reduce((a, b) => a + b, 0)
  if (!(bad > 0)) return [{ fault: wasGood, share: 1 }]
  const share = Math.min(1, (replacesBad * bad) / (replacesBad * bad + 1 - bad))
  return [
    { fault: model.hypotheses.findIndex(({ id }) => id === worst[0]), share },
    { fault: wasGood, share: 1 - share },
    // what the other side outweighs so far would be left anyway: it is not worth solving the unit for
  ].filter((side) => Math.log(side.share) > toldFrom)
}

function weightiest(stories: readonly Story[]): readonly Story[] {
  const sorted = stories
    .filter(({ logWeight, logBefore }) => logWeight > -Infinity && logBefore > -Infinity)
    .sort((a, b) => b.logWeight - a.logWeight)
  return sorted.slice(0, mostStories).filter(({ logWeight }) => logWeight - sorted[0].logWeight > toldFrom)
}

function normalised(logs: readonly number[]): readonly number[] {
  const top = Math.max(...logs)
  const raw = logs.map((value) => Math.exp(value - top))
  const total = raw.reduce((a, b) => a + b, 0)
  return raw.map((value) => value / total)
}
