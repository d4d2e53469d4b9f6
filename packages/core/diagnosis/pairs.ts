import type { Effect } from '../parts/effect'
import type { UnitModel } from './predictor'

/** Log-likelihood that a hypothesis may lose on a piece of evidence and still be said to explain it. */
const explains = 3
/** How many single faults, at the most, are tried in pairs. */
const paired = 26

/**
 * Pairs of single faults, where no single one explains every piece of evidence: those that explain what
 * others leave.
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
  const order = model.everySingle
    .filter((h) => h > 0 && probability[h] > 0)
    .sort((a, b) => probability[b] - probability[a])
  if (order.length === 0 || order.slice(0, 40).some((h) => leaves(h).length === 0)) return []
  // leading suspects, and for each piece that the leader leaves open those that explain it with the least
  // else against them
  const chosen = new Set(order.slice(0, paired / 2))
  for (const e of leaves(order[0]))
    for (const h of order
      .filter((candidate) => best[e] - weight[e][candidate] < 1)
      .slice(0, Math.ceil(paired / 2)))
      chosen.add(h)
  const few = [...chosen].slice(0, 2 * paired)
  return few.flatMap((a, k) =>
    few
      .slice(k + 1)
      .filter((b) => differ(model, a, b))
      .map((b) => model.pair(a, b)),
  )
}

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
