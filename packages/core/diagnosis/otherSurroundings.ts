import type { Conditions } from '../parts/kind'
import type { UnitModel } from './predictor'

/** How often what surrounds a unit, and nobody has measured, is of another sort than its call assumes. */
const unlikeAssumed = 0.25

/** What other surroundings make of a piece of evidence, for suspects that it does not tell from a healthy unit. */
export interface Elsewhere {
  /** Probability that the surroundings are of a sort that changes what is read. */
  readonly weight: number
  /** Chance of the evidence there. */
  readonly chance: number
}

/** Hypotheses of surroundings that nobody has measured. */
export const unmeasured = (model: UnitModel, conditions: Conditions): readonly number[] =>
  model.aboutSurroundings.filter((k) =>
    model.hypotheses[k].faults.every(({ of }) => conditions[of] === undefined),
  )

/**
 * A piece of evidence in surroundings other than a call assumes, over those that would change it; null where none would.
 * Weather is no fault: a suspect may be there in any, and must not be cleared or blamed for what the weather does.
 */
export function elsewhereOf(
  model: UnitModel,
  conditions: Conditions,
  differs: (k: number) => boolean,
  chanceOf: (k: number) => number,
): Elsewhere | null {
  let weight = 0
  let chance = 0
  for (const k of unmeasured(model, conditions)) {
    if (!differs(k)) continue
    // every stretch of a condition is as likely as another
    const share = unlikeAssumed * model.hypotheses[k].faults[0].prior
    weight += share
    chance += share * chanceOf(k)
  }
  return weight === 0 ? null : { weight: Math.min(weight, 0.5), chance: chance / weight }
}

/** The chance of evidence with other surroundings counted in. */
export const withElsewhere = (chance: number, elsewhere: Elsewhere | null): number =>
  elsewhere === null ? chance : (1 - elsewhere.weight) * chance + elsewhere.weight * elsewhere.chance
