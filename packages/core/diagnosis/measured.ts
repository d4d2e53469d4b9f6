import type { Effect, Exclusion, Fault } from '../parts/effect'
import type { Conditions } from '../parts/kind'
import { presentAtFirst } from './comesAndGoes'
import type { UnitModel } from './predictor'

/**
 * Weight left of a suspect under a measured condition that speaks against it, or that it does not explain.
 */
const againstShare = 0.04

/** Whether a measured condition is beyond what an exclusion says; not where nobody has measured it. */
function isBeyond({ of, above, below }: Exclusion, conditions: Conditions): boolean {
  const value = conditions[of]
  return (
    value !== undefined && (above === undefined || value > above) && (below === undefined || value < below)
  )
}

/** Branches that a fault holds, with the states that it holds them in. */
const heldBy = (effects: readonly Effect[]): readonly string[] =>
  effects.flatMap((effect) => (effect.does === 'hold' ? [`${effect.branch} ${effect.state}`] : []))

/** Whether a switch stands as a fault has it because of what it watches, and not because it is broken. */
const isByWhatItWatches = ({ class: sort }: Fault): boolean => sort === 'trip' || sort === 'fouled'

/**
 * What was measured outside the circuit says of a hypothesis, by its number, as a factor on its prior. A
 * switch is not held open where what it watches has come back, unless it comes and goes, as `changing` of
 * those that may do; a pressure past its trip needs a reason, be it one that was `mended` since, by its
 * number, and surroundings that were measured are as measured.
 */
export function measuredChance(
  model: UnitModel,
  conditions: Conditions,
  changing: number,
  mended: readonly number[],
): (h: number) => number {
  if (Object.keys(conditions).length === 0) return () => 1
  const { hypotheses, everySingle } = model
  const ofUnit = everySingle.flatMap((h) => hypotheses[h].faults)
  const tripped = ofUnit.filter(({ when }) => when && isBeyond(when, conditions))
  const past = [...new Set(tripped.map(({ when }) => when?.of))]
  const cameBack = new Set(
    ofUnit
      .filter(({ unless }) => unless && isBeyond(unless, conditions))
      .flatMap(({ effects }) => heldBy(effects)),
  )
  const heldUntilMended = new Set(
    mended.flatMap((h) => (h < 0 ? [] : hypotheses[h].faults)).flatMap(({ effects }) => heldBy(effects)),
  )
  // as a rule the share covers that it was away just then
  const againstWhatReturns = Math.max(againstShare, changing * (1 - presentAtFirst))
  const chanceOf = (faults: readonly Fault[], mayReturn: boolean): number => {
    const held = new Set(faults.flatMap(({ effects }) => heldBy(effects)))
    const excluded = faults.filter(
      (fault) => isByWhatItWatches(fault) && heldBy(fault.effects).some((state) => cameBack.has(state)),
    )
    // one switch that it opened is reason enough: another that watches the same may sit elsewhere, or be
    // set higher
    const isExplained = (condition: string | undefined): boolean =>
      tripped.some(
        ({ when, effects }) =>
          when?.of === condition &&
          heldBy(effects).some((state) => held.has(state) || heldUntilMended.has(state)),
      )
    const unexplained = past.filter((condition) => !isExplained(condition))
    const ofExcluded = mayReturn ? againstWhatReturns : againstShare
    return ofExcluded ** excluded.length * againstShare ** unexplained.length
  }
  const isMeasured = ({ class: sort, of }: Fault): boolean =>
    sort === 'surroundings' && conditions[of] !== undefined
  return (h) => {
    const { faults } = hypotheses[h]
    return faults.some(isMeasured) ? 0 : chanceOf(faults, model.comesAndGoes(h))
  }
}
