import { classesOf } from '@jokulgale/core/diagnosis/classes'
import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { seeded } from '@jokulgale/core/world/random'
import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'
import { playRepairs } from '@jokulgale/core/diagnosis/repairTrial'
import { schools, type School } from '@jokulgale/core/diagnosis/schools'
import { complaintOf, playTrial, type Trial, type TrialOptions } from '@jokulgale/core/diagnosis/trial'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { drawOne, drawPair } from './draw'
import { reliabilityOf, type ReliabilityRow } from './reliability'

/** How many trials of each sort a unit is put through, and what they are drawn by. */
export interface Extent {
  readonly each: number
  readonly schools: number
  readonly pairs: number
  readonly seed: number
}

interface Searches {
  /** Share that ended with the fault, or one of its class, in the lead. */
  readonly right: number
  readonly readings: number
  readonly cost: number
}

export interface UnitTrials {
  readonly id: string
  readonly exact: Searches
  readonly noisy: Searches
  readonly bySchool: Readonly<Record<School, Searches>>
  /** How many pairs were tried. */
  readonly pairs: number
  readonly pairsFound: number
  readonly pairSteps: number
  readonly proofReadings: number
  /** What each class was given after each step of the noisy searches, and how often it was the true one. */
  readonly calibration: readonly ReliabilityRow[]
  readonly seconds: number
}

const mostSteps = 60
/** Probability of the leading class at which a search ends; with two faults at which a repair is made. */
const sure = { one: 0.95, two: 0.9 }
/** Classes given less are not counted. */
const countedFrom = 0.02

const mean = (numbers: readonly number[]): number =>
  numbers.reduce((sum, n) => sum + n, 0) / Math.max(1, numbers.length)

/** Puts one unit through all trials. */
export function trialsOf(id: string, extent: Extent): UnitTrials {
  const start = performance.now()
  const model = modelOf(readLadder(builtInUnitText(id)))
  const classes = classesOf(model)
  const isRight = (hypothesis: number, truth: number): boolean =>
    hypothesis < classes.length && classes[hypothesis] === classes[truth]

  const play = (
    options: Omit<TrialOptions, 'random' | 'mostSteps' | 'sure' | 'classes'>,
    count: number,
  ): readonly { readonly truth: number; readonly trial: Trial }[] => {
    const random = seeded(extent.seed)
    const drawn = Array.from({ length: count }, () => drawOne(model, random))
    return drawn.map((truth) => ({
      truth,
      trial: playTrial(model, truth, complaintOf(model, truth), {
        ...options,
        classes,
        random,
        mostSteps,
        sure: sure.one,
      }),
    }))
  }
  const summed = (played: ReturnType<typeof play>): Searches => ({
    right: mean(played.map(({ truth, trial }) => (isRight(trial.ranked[0], truth) ? 1 : 0))),
    readings: mean(played.map(({ trial }) => trial.steps)),
    cost: mean(played.map(({ trial }) => trial.cost)),
  })

  const plain = { looks: false, noise: false, blunders: 0 }
  const noisy = play({ looks: false, noise: true, blunders: 0.03 }, extent.each)
  return {
    id,
    exact: summed(play(plain, extent.each)),
    noisy: summed(noisy),
    bySchool: Object.fromEntries(
      schools.map((school) => [school, summed(play({ ...plain, looks: true, school }, extent.schools))]),
    ) as Record<School, Searches>,
    calibration: reliabilityOf(
      noisy.flatMap(({ truth, trial }) =>
        trial.given.flatMap((step) =>
          byClass(step, classes).map(({ of, probability }) => ({
            probability,
            right: of === classes[truth],
          })),
        ),
      ),
    ),
    ...pairs(model, classes, extent),
    seconds: (performance.now() - start) / 1000,
  }
}

/** Pairs of faults found and repaired one after the other. */
function pairs(
  model: UnitModel,
  classes: Int32Array,
  extent: Extent,
): Pick<UnitTrials, 'pairs' | 'pairsFound' | 'pairSteps' | 'proofReadings'> {
  const random = seeded(extent.seed + 1)
  const both = Array.from({ length: extent.pairs }, () => {
    model.forgetPairs()
    const pair = drawPair(model, classes, random)
    return playRepairs(model, pair, complaintOf(model, pair), {
      classes,
      random,
      noise: false,
      blunders: 0,
      looks: true,
      mostSteps,
      sure: sure.two,
    })
  })
  return {
    pairs: extent.pairs,
    pairsFound: mean(both.map(({ all }) => (all ? 1 : 0))),
    pairSteps: mean(both.map(({ steps }) => steps)),
    proofReadings: mean(both.map(({ proofReadings }) => proofReadings)),
  }
}

/** What is given to each class that stands out; a pair of faults is of no class. */
function byClass(
  step: Trial['given'][number],
  classes: Int32Array,
): readonly { readonly of: number; readonly probability: number }[] {
  const sums = new Map<number, number>()
  for (const { hypothesis, probability } of step) {
    const of = hypothesis < classes.length ? classes[hypothesis] : -1 - hypothesis
    sums.set(of, (sums.get(of) ?? 0) + probability)
  }
  return [...sums]
    .filter(([, probability]) => probability >= countedFrom)
    .map(([of, probability]) => ({ of, probability }))
}
