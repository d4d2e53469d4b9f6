import type { Meter } from '../circuit/meter'
import { endsAmong, groupNumbers, readingAt, readingOf, sortable, valuesOf } from './grouping'
import { distinct } from './likelihood'
import type { Predictions, SituationModel } from './predictor'
import type { Outcome } from './steps'
import type { Belief } from './suspects'

/** Suspects less probable than this do not steer the choice. */
const negligible = 2e-5

/** The hypotheses that steer the choice of the next step, most probable first: groups made in this order are in it too. */
export const likely = ({ probability }: Belief): readonly number[] => {
  const which: number[] = []
  probability.forEach((chance, h) => {
    if (chance > negligible) which.push(h)
  })
  return which.sort((a, b) => probability[b] - probability[a] || a - b)
}

/** Suspects, most probable first, grouped by what they predict as finely as a person can tell. */
export function partition(meter: Meter, predicted: Predictions, belief: Belief, which: readonly number[]): readonly Outcome[] {
  const different = valuesOf(predicted, which)
  const ends = endsAmong(meter, different)
  const numbers = groupNumbers(different, ends)
  const groups: readonly number[][] = ends.map(() => [])
  for (const h of which) groups[numbers.get(sortable(predicted[h])) ?? 0].push(h)
  return groups.map((group): Outcome => ({ value: readingOf(predicted[group[0]]), probability: weigh(group, belief), hypotheses: group }))
    .sort((a, b) => b.probability - a.probability)
}

/** Entropy of what a reading would show, bits: `partition` without making its groups, and quick where all predict alike. */
export function informationOf(meter: Meter, predicted: Predictions, { probability }: Belief, which: readonly number[]): number {
  const different = valuesOf(predicted, which)
  const count = different.length
  if (count < 2 || !distinct(meter, readingAt(different[0]), readingAt(different[count - 1]))) return 0
  const weights = new Map<number, number>()
  let total = 0
  for (const h of which) {
    const value = sortable(predicted[h])
    weights.set(value, (weights.get(value) ?? 0) + probability[h])
    total += probability[h]
  }
  let bits = 0
  let from = 0
  for (const end of endsAmong(meter, different)) {
    let group = 0
    for (; from < end; from++) group += weights.get(different[from]) ?? 0
    if (group > 0) bits -= group * Math.log2(group)
  }
  return total > 0 ? Math.max(0, bits / total + Math.log2(total)) : 0
}

/** Entropy of numbered outcomes over the suspects, bits. */
export function histogramBits(outcome: Int32Array, belief: Belief, which: readonly number[]): number {
  const weights: number[] = []
  let total = 0
  for (const h of which) {
    const p = belief.probability[h]
    while (weights.length <= outcome[h]) weights.push(0)
    weights[outcome[h]] += p
    total += p
  }
  return weights.reduce((bits, weight) => (weight > 0 ? bits - (weight / total) * Math.log2(weight / total) : bits), 0)
}

/** Suspects, most probable first, grouped by the first word that a look at a part would give; empty when the look needs other words. */
export function partitionByLook(situation: SituationModel, part: string, belief: Belief, which: readonly number[]): readonly Outcome[] {
  const groups = new Map<string, number[]>()
  for (const h of which) {
    const seen = situation.firstLook(h, part)
    if (seen === undefined || !plainLooks.has(seen)) return []
    const group = groups.get(seen)
    if (group) group.push(h)
    else groups.set(seen, [h])
  }
  return [...groups].map(([seen, group]): Outcome => ({
    value: 0, seen, probability: weigh(group, belief), hypotheses: group,
  })).sort((a, b) => b.probability - a.probability)
}

/** Words that a look gives at a glance; others are not asked for. */
const plainLooks = new Set([
  'pulled-in', 'dropped-out', 'turning', 'still', 'lamp-on', 'lamp-off', 'open-drawn', 'shut', 'on', 'off', 'dark', 'tripped', 'set',
  'whole', 'blown', 'clean', 'dirty', 'broken', 'running', 'blocked', 'charged', 'oily',
])

const weigh = (group: readonly number[], belief: Belief): number => group.reduce((sum, h) => sum + belief.probability[h], 0)
