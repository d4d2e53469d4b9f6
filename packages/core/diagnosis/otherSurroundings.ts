import type { Conditions } from '../parts/kind'
import type { Standing } from '../visit/standing'
import type { Candidate } from './candidates'
import { readingOf } from './grouping'
import { distinct } from './likelihood'
import type { UnitModel } from './predictor'
import type { SituationModel } from './situationModel'

/** How often what surrounds a unit, and nobody has measured, is of another sort than its call assumes. */
const unlikeAssumed = 0.25
/** However much of a unit answers to its surroundings, they are as assumed at least so often. */
const leastAssumed = 0.5

/** Hypotheses of surroundings that nobody has measured. */
export const unmeasured = (model: UnitModel, conditions: Conditions): readonly number[] =>
  model.aboutSurroundings.filter((k) =>
    model.hypotheses[k].faults.every(({ of }) => conditions[of] === undefined),
  )

/**
 * What the evidence so far says of the surroundings, under one account of a suspect: the probability that
 * they are as the visit's own call assumes, and of each other stretch that nobody has measured. They are the same for
 * every piece of evidence.
 */
export interface Around {
  readonly assumed: number
  /** In the order of `unmeasured`. */
  readonly others: readonly number[]
}

/** Before any evidence; null where the unit answers to none, or all have been measured. */
export function aroundAtFirst(model: UnitModel, conditions: Conditions): Around | null {
  const others = unmeasured(model, conditions).map((k) => unlikeAssumed * model.hypotheses[k].faults[0].prior)
  const total = others.reduce((sum, share) => sum + share, 0)
  if (total === 0) return null
  const kept = Math.min(1, (1 - leastAssumed) / total)
  return { assumed: 1 - kept * total, others: others.map((share) => kept * share) }
}

/** Whether a suspect shows the same as one other, for which that is worked out once. */
export type Like = (other: number) => (h: number) => boolean

/** Whether a reading does not tell one suspect from another. */
export function readsLike(situation: SituationModel, { meter, from, to }: Candidate): Like {
  const read = (h: number): number | null => readingOf(situation.predict(meter, from, to, [h])[h])
  return (other) => {
    const there = read(other)
    return (h) => !distinct(meter, read(h), there)
  }
}

/** Whether a look at a part does not tell one suspect from another. */
export function looksLike(situation: SituationModel, part: string): Like {
  const seen = (h: number): string => situation.looks(h, part).join()
  return (other) => {
    const there = seen(other)
    return (h) => seen(h) === there
  }
}

/** What other surroundings would make of a piece of evidence. */
export interface Elsewhere {
  /** Its chance in each of them; null where it is the same there as its call assumes. */
  readonly chances: readonly (number | null)[]
}

/** What a piece of evidence says of other surroundings; null where none of them would change it. */
export function elsewhereOf(
  model: UnitModel,
  { conditions }: Standing,
  isAsHealthy: (k: number) => boolean,
  chanceOf: (k: number) => number,
): Elsewhere | null {
  const others = unmeasured(model, conditions)
  const chances = others.map((k) => (isAsHealthy(k) ? null : chanceOf(k)))
  if (chances.every((chance) => chance === null)) return null
  return { chances }
}

/** A piece of evidence told with other surroundings counted in, and what it leaves of them. */
export interface ToldAround {
  readonly chance: number
  readonly around: Around
  /** Probability that the surroundings are such that the evidence is the suspect's own doing. */
  readonly own: number
}

/**
 * Weather is no fault: a suspect that does not change a reading may be there in any, and must not be cleared
 * or blamed for what the weather does. `own`: chance of the evidence under the suspect in the surroundings
 * that are assumed.
 */
export function toldAround(own: number, { assumed, others }: Around, { chances }: Elsewhere): ToldAround {
  const joint = others.map((share, k) => share * (chances[k] ?? own))
  const asAssumed = assumed * own
  const changed = joint.reduce((sum, weight, k) => (chances[k] === null ? sum : sum + weight), 0)
  const chance = joint.reduce((sum, weight) => sum + weight, asAssumed)
  return {
    chance,
    own: 1 - changed / chance,
    around: { assumed: asAssumed / chance, others: joint.map((weight) => weight / chance) },
  }
}
