import type { Effect } from '../parts/effect'
import type { UnitModel } from './predictor'

/** Log-likelihood that a hypothesis may lose on a piece of evidence and still be said to explain it. */
const explains = 3
/**
 * Log-likelihood that it may lose on all of them together: a second fault costs as much before it explains
 * anything.
 */
const explainsAll = 6
/** So many that lead may be what something that nobody drew acts like. */
const actedLike = 4
/** How many single faults, at the most, are tried in pairs. */
const paired = 26

/**
 * Pairs of single faults, where no single one explains every piece of evidence: those that explain what
 * others leave, and those in the lead as what something acts like that nobody drew.
 * `weight[e][h]` is the log-likelihood of evidence e under hypothesis h.
 */
export function pairsWorthTrying(
  model: UnitModel,
  weight: readonly Float64Array[],
  probability: Float64Array,
): readonly number[] {
  if (weight.length < 2) return []
  const best = weight.map((row) => mostOf(row, model.singles))
  const leaves = (h: number): readonly number[] =>
    weight.flatMap((row, e) => (best[e] - row[h] > explains ? [e] : []))
  const lost = (h: number): number => weight.reduce((sum, row, e) => sum + best[e] - row[h], 0)
  const order = model.everySingle
    .filter((h) => isOfFaults(model, h) && probability[h] > 0)
    .sort((a, b) => probability[b] - probability[a])
  const isExplainedBy = (h: number): boolean => lost(h) < explainsAll && leaves(h).length === 0
  if (order.length === 0 || order.slice(0, 40).some(isExplainedBy)) return []
  // leading suspects, and for each piece that the leader leaves open those that explain it with the least
  // else against them
  const chosen = new Set(order.slice(0, paired / 2))
  for (const e of leaves(order[0]))
    for (const h of order
      .filter((candidate) => best[e] - weight[e][candidate] < 1)
      .slice(0, Math.ceil(paired / 2)))
      chosen.add(h)
  const few = [...chosen].slice(0, 2 * paired)
  const notDrawn = model.everySingle.filter((h) => model.hypotheses[h].notDrawn)
  const alike = order.slice(0, actedLike).flatMap((h) => notDrawn.map((other) => model.pair(h, other)))
  const both = few.flatMap((a, k) =>
    few
      .slice(k + 1)
      .filter((b) => differ(model, a, b))
      .map((b) => model.pair(a, b)),
  )
  return [...alike, ...both]
}

/** *Not as drawn* explains whatever is read, and so nothing that two faults would. */
const isOfFaults = ({ hypotheses }: UnitModel, h: number): boolean => hypotheses[h].faults.length > 0

function mostOf(row: Float64Array, count: number): number {
  let most = -Infinity
  for (let h = 0; h < count; h++) if (row[h] > most) most = row[h]
  return most
}

const differ = (model: UnitModel, a: number, b: number): boolean =>
  !sameBranch(model.hypotheses[a].effects, model.hypotheses[b].effects)

/** Two faults of one branch are not independent of each other. */
const sameBranch = (a: readonly Effect[], b: readonly Effect[]): boolean => {
  const touched = new Set(a.map((effect) => ('branch' in effect ? effect.branch : '')))
  return b.some((effect) => 'branch' in effect && touched.has(effect.branch))
}
