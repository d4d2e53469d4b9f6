import type { Effect, Exclusion, Fault } from '../parts/effect'
import type { Conditions } from '../parts/kind'
import type { Hypothesis } from './hypothesis'
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
 * What was measured outside the circuit says of a hypothesis, as a factor on its prior. A switch is not held
 * open where what it watches has come back; a pressure past its trip needs a reason, and surroundings that
 * were measured are as measured.
 */
export function measuredChance(
  { hypotheses, everySingle }: UnitModel,
  conditions: Conditions,
): (hypothesis: Hypothesis) => number {
  if (Object.keys(conditions).length === 0) return () => 1
  const ofUnit = everySingle.flatMap((h) => hypotheses[h].faults)
  const tripped = ofUnit.filter(({ when }) => when && isBeyond(when, conditions))
  const past = [...new Set(tripped.map(({ when }) => when?.of))]
  const cameBack = new Set(
    ofUnit
      .filter(({ unless }) => unless && isBeyond(unless, conditions))
      .flatMap(({ effects }) => heldBy(effects)),
  )
  const countAgainst = (faults: readonly Fault[]): number => {
    const held = new Set(faults.flatMap(({ effects }) => heldBy(effects)))
    const excluded = faults.filter(
      (fault) => isByWhatItWatches(fault) && heldBy(fault.effects).some((state) => cameBack.has(state)),
    )
    // one switch that it opened is reason enough: another that watches the same may sit elsewhere, or be
    // set higher
    const isExplained = (condition: string | undefined): boolean =>
      tripped.some(
        ({ when, effects }) => when?.of === condition && heldBy(effects).some((state) => held.has(state)),
      )
    const unexplained = past.filter((condition) => !isExplained(condition))
    return excluded.length + unexplained.length
  }
  return ({ faults }) =>
    faults.some((fault) => fault.class === 'surroundings' && conditions[fault.of] !== undefined)
      ? 0
      : againstShare ** countAgainst(faults)
}
