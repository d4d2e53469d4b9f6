import { isGlanceWord } from '../parts/lookVocabulary'
import { endsAmong, groupNumbers, readingAt, readingOf, sortable, valuesOf } from './grouping'
import { distinct, type ToldApart } from './likelihood'
import type { Predictions, SituationModel } from './situationModel'
import type { Outcome } from './steps'
import type { Belief } from './suspects'

/** Suspects less probable than this do not steer the choice. */
const negligible = 2e-5

/**
 * The hypotheses that steer the choice of the next step, most probable first: groups made in this order are
 * in it too.
 */
export const likely = ({ probability }: Belief): readonly number[] => {
  const which: number[] = []
  probability.forEach((chance, h) => {
    if (chance > negligible) which.push(h)
  })
  return which.sort((a, b) => probability[b] - probability[a] || a - b)
}

/** Suspects, most probable first, grouped by what they predict as finely as a person can tell. */
export function partition(
  how: ToldApart,
  predicted: Predictions,
  belief: Belief,
  which: readonly number[],
): readonly Outcome[] {
  const different = valuesOf(predicted, which)
  const ends = endsAmong(how, different)
  const numbers = groupNumbers(different, ends)
  const groups: readonly number[][] = ends.map(() => [])
  for (const h of which) groups[numbers.get(sortable(predicted[h])) ?? 0].push(h)
  return groups
    .map((group): Outcome => ({
      value: readingOf(predicted[group[0]]),
      probability: weigh(group, belief),
      hypotheses: group,
    }))
    .sort((a, b) => b.probability - a.probability)
}

/**
 * Entropy of what a reading would show, bits: `partition` without making its groups, and quick where all
 * predict alike. With `among`, what it would tell if only some of the suspects were left, in the outcomes that
 * all of them make.
 */
export function informationOf(
  how: ToldApart,
  predicted: Predictions,
  { probability }: Belief,
  which: readonly number[],
  among: readonly number[] = which,
): number {
  const different = valuesOf(predicted, which)
  const count = different.length
  if (count < 2 || !distinct(how, readingAt(different[0]), readingAt(different[count - 1]))) return 0
  const weights = new Map<number, number>()
  let total = 0
  for (const h of among) {
    const value = sortable(predicted[h])
    weights.set(value, (weights.get(value) ?? 0) + probability[h])
    total += probability[h]
  }
  let bits = 0
  let from = 0
  for (const end of endsAmong(how, different)) {
    let group = 0
    for (; from < end; from++) group += weights.get(different[from]) ?? 0
    if (group > 0) bits -= group * Math.log2(group)
  }
  return total > 0 ? Math.max(0, bits / total + Math.log2(total)) : 0
}

let groupWeights = new Float64Array(64)

/** Entropy of numbered outcomes over the suspects, bits. */
export function histogramBits(
  outcome: ArrayLike<number>,
  { probability }: Belief,
  which: readonly number[],
): number {
  groupWeights.fill(0)
  let most = 0
  let total = 0
  for (let k = 0; k < which.length; k++) {
    const h = which[k]
    const number = outcome[h]
    if (number > most) {
      most = number
      if (most >= groupWeights.length) groupWeights = enlarged(groupWeights, 2 * most)
    }
    groupWeights[number] += probability[h]
    total += probability[h]
  }
  let bits = 0
  for (let number = 0; number <= most; number++) {
    const share = groupWeights[number] / total
    if (share > 0) bits -= share * Math.log2(share)
  }
  return bits
}

function enlarged(from: Float64Array, size: number): Float64Array<ArrayBuffer> {
  const larger = new Float64Array(size)
  larger.set(from)
  return larger
}

/**
 * What each suspect has a look at a part say, as a number for the situation's `glanceWord`, by hypothesis.
 */
export type Glances = Float64Array

/** Entropy of the word that a look would give, bits; nought when the look may need other words. */
export function lookBits(
  situation: SituationModel,
  seen: Glances,
  belief: Belief,
  which: readonly number[],
): number {
  return isPlain(situation, seen, which) ? histogramBits(seen, belief, which) : 0
}

/** Suspects, most probable first, grouped by that word. */
export function partitionByLook(
  situation: SituationModel,
  seen: Glances,
  belief: Belief,
  which: readonly number[],
): readonly Outcome[] {
  if (!isPlain(situation, seen, which)) return []
  return partitionBySaying(belief, which, (h) => situation.glanceWord(seen[h]))
}

/** Suspects, most probable first, grouped by what each would have somebody say. */
export function partitionBySaying(
  belief: Belief,
  which: readonly number[],
  sayingOf: (h: number) => string,
): readonly Outcome[] {
  const groups = new Map<string, number[]>()
  for (const h of which) {
    const saying = sayingOf(h)
    const group = groups.get(saying)
    if (group) group.push(h)
    else groups.set(saying, [h])
  }
  return [...groups]
    .map(([seen, group]): Outcome => ({
      value: 0,
      seen,
      probability: weigh(group, belief),
      hypotheses: group,
    }))
    .sort((a, b) => b.probability - a.probability)
}

/** Entropy of outcomes that the suspects are in, each in one, bits. */
export function outcomeBits(outcomes: readonly Outcome[], belief: Belief, which: readonly number[]): number {
  const numbers: number[] = []
  outcomes.forEach(({ hypotheses }, number) => {
    for (const h of hypotheses) numbers[h] = number
  })
  return histogramBits(numbers, belief, which)
}

function isPlain(situation: SituationModel, seen: Glances, which: readonly number[]): boolean {
  let last = -1
  for (let k = 0; k < which.length; k++) {
    const number = seen[which[k]]
    if (number !== last && !isGlanceWord(situation.glanceWord(number))) return false
    last = number
  }
  return true
}

const weigh = (group: readonly number[], belief: Belief): number =>
  group.reduce((sum, h) => sum + belief.probability[h], 0)
