import type { Conditions } from '../parts/kind'
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
 * they are as a call assumes, and of each other stretch that nobody has measured. They are the same for
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

/** Whether a reading does not tell a suspect from a healthy unit. */
export function readsAsHealthy(
  situation: SituationModel,
  { meter, from, to }: Candidate,
): (h: number) => boolean {
  const read = (h: number): number | null => readingOf(situation.predict(meter, from, to, [h])[h])
  const healthy = read(0)
  return (h) => !distinct(meter, read(h), healthy)
}

/** Whether a look at a part does not tell a suspect from a healthy unit. */
export function looksAsHealthy(situation: SituationModel, part: string): (h: number) => boolean {
  const seen = (h: number): string => situation.looks(h, part).join()
  const healthy = seen(0)
  return (h) => seen(h) === healthy
}

/**
 * Chance of a piece of evidence in each of the other surroundings; null where it is the same there as
 * assumed.
 */
export type Elsewhere = readonly (number | null)[]

/** What a piece of evidence says of other surroundings; null where none of them would change it. */
export function elsewhereOf(
  model: UnitModel,
  conditions: Conditions,
  isAsHealthy: (k: number) => boolean,
  chanceOf: (k: number) => number,
): Elsewhere | null {
  const chances = unmeasured(model, conditions).map((k) => (isAsHealthy(k) ? null : chanceOf(k)))
  return chances.every((chance) => chance === null) ? null : chances
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
export function toldAround(own: number, { assumed, others }: Around, elsewhere: Elsewhere): ToldAround {
  const joint = others.map((share, k) => share * (elsewhere[k] ?? own))
  const changed = joint.reduce((sum, weight, k) => (elsewhere[k] === null ? sum : sum + weight), 0)
  const chance = joint.reduce((sum, weight) => sum + weight, assumed * own)
  return {
    chance,
    own: 1 - changed / chance,
    around: { assumed: (assumed * own) / chance, others: joint.map((weight) => weight / chance) },
  }
}
