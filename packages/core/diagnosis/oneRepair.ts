import { mendedByRenewing } from '../parts/faultClass'
import type { UnitModel } from './predictor'
import type { Belief } from './suspects'

/** Suspects that one new part, or one new lead, puts right, whichever of them it is. */
export interface OneRepair {
  /** The part or lead. */
  readonly of: string
  /** Hypothesis numbers, most probable first. */
  readonly which: readonly number[]
  /** How much of what is believed they hold together. */
  readonly share: number
}

/** With so much of what is believed a technician acts. */
const acted = 0.8
/**
 * What a step tells between faults of the part that will be renewed anyway counts for so much: somebody may
 * want to know it, but nobody walks for it. A judgement, not a measurement.
 */
const insideCounts = 0.1
/** A step of which this share tells faults of one part from each other tells nothing else worth saying. */
const onlyInside = 0.9

/**
 * The one repair that most of what is believed comes to; null while there is none, and where it is one
 * fault alone. Takes the suspects most probable first.
 */
export function oneRepairOf(
  model: UnitModel,
  { probability }: Belief,
  suspects: readonly number[],
): OneRepair | null {
  const isOf = (h: number, of: string): boolean => {
    const hypothesis = model.hypotheses[h]
    return (
      hypothesis.of.length === 1 &&
      hypothesis.of[0] === of &&
      hypothesis.faults.every((fault) => mendedByRenewing.has(fault.class))
    )
  }
  const [leader] = suspects
  const [of] = leader === undefined ? [] : model.hypotheses[leader].of
  if (of === undefined) return null
  const which = suspects.filter((h) => isOf(h, of))
  if (which.length < 2) return null
  const sum = (some: readonly number[]): number => some.reduce((total, h) => total + probability[h], 0)
  const share = sum(which) / sum(suspects)
  return share < acted ? null : { of, which, share }
}

/** What a step tells, counted for what is to be mended, and the part inside which alone it tells anything. */
export interface Worth {
  readonly bits: number
  readonly inside: string | null
}

/** Counts the information of a step, bits; `bitsAmong` gives what it tells among some suspects alone. */
export function worthOf(
  repair: OneRepair | null,
  bits: number,
  bitsAmong: (which: readonly number[]) => number,
): Worth {
  if (repair === null || bits <= 0) return { bits, inside: null }
  const inside = Math.min(bits, repair.share * bitsAmong(repair.which))
  return {
    bits: bits - (1 - insideCounts) * inside,
    inside: inside >= onlyInside * bits ? repair.of : null,
  }
}
