import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'
import { isShort } from '@jokulgale/core/diagnosis/resistance'
import { mayComeAndGo } from '@jokulgale/core/diagnosis/comingBack'
import { asFault, drawDifference, type Difference } from '@jokulgale/core/world/difference'
import type { Fault } from '@jokulgale/core/parts/effect'
import type { Random } from '@jokulgale/core/world/random'
import { World, type Trouble } from '@jokulgale/core/world/world'
import { drawOne } from '../trials/draw'
import type { WorldSort, Wrong } from './worldSorts'

/** A unit in which something fails, and what is wrong with it. */
export interface Call {
  readonly world: World
  /** Hypothesis numbers of its faults. */
  readonly truths: readonly number[]
  readonly difference: Difference | null
}

const faultsWanted: Readonly<Record<Wrong, number>> = {
  one: 1,
  trips: 1,
  two: 2,
  three: 3,
  'comes-and-goes': 1,
  'not-drawn': 0,
}

/**
 * Faults drawn by their rates, on a unit in which something fails for them: else nobody would have called.
 */
export function drawCall(
  model: UnitModel,
  classes: Int32Array,
  { unlike, wrong }: WorldSort,
  random: Random,
): Call {
  for (;;) {
    const truths = drawFaults()
    const difference = wrong === 'not-drawn' ? drawDifference(model.diagram, random) : null
    if (truths.length === 0 && difference === null) continue
    const trouble: Trouble = {
      faults: [
        ...truths.flatMap((truth) => model.hypotheses[truth].faults),
        ...(difference ? [asFault(difference)] : []),
      ],
      comesAndGoes: wrong === 'comes-and-goes',
      ...(difference && { substitutes: difference.substitutes }),
    }
    const world = new World(model.diagram, trouble, unlike, random)
    if (world.failing().length > 0) return { world, truths, difference }
  }

  function drawFaults(): readonly number[] {
    const drawn: number[] = []
    while (drawn.length < faultsWanted[wrong]) {
      const truth = drawOne(model, random)
      const { faults, of } = model.hypotheses[truth]
      const isAnother = drawn.every((other) => model.hypotheses[other].of[0] !== of[0])
      const isFault = of.length > 0 && classes[truth] !== classes[0]
      const isAsked =
        (wrong !== 'trips' || faults.some(isShort)) &&
        (wrong !== 'comes-and-goes' || faults.every((fault) => mayComeAndGo(model.diagram, fault)))
      if (isFault && isAsked && isAnother && showsAlone(faults)) drawn.push(truth)
    }
    return drawn
  }

  /** Of several faults each is one that somebody would have called for. */
  function showsAlone(faults: readonly Fault[]): boolean {
    return (
      faultsWanted[wrong] < 2 || new World(model.diagram, { faults }, unlike, random).failing().length > 0
    )
  }
}
