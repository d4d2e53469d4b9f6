import { leadingFew } from './leadingFew'
import { isDoubted } from './doubt'
import { readingOf } from './grouping'
import { distinct } from './likelihood'
import { meetingOf } from './metAtItself'
import { informationOf } from './outcomes'
import type { Search } from './proposals'
import type { ReadingStep, Step } from './steps'
import type { Belief } from './suspects'

/** Bits, in doubt, from which a reading at the suspect is worth taking. */
const worthMeetingBits = 0.05
/**
 * What a reading tells that the suspect has otherwise than a healthy unit, bits: one verdict in five is taken
 * for wrong, and half of what nobody drew reads as if nothing were wrong there.
 */
const abnormalBits = 0.45

/**
 * Before a verdict its suspect is met at itself, where no lead has touched it yet: what was read elsewhere may
 * come of something that nobody drew. Of the readings there the one is marked that tells most for its time if
 * what is believed were in doubt. It goes first, but behind what tells more than `muchBits`, and from another
 * place behind a reading that is to be taken once more here.
 */
export function meetFirst(search: Search, steps: readonly Step[], muchBits: number): readonly Step[] {
  const { model, findings, belief, which } = search
  const few = leadingFew(belief) ?? []
  const [first] = few
  if (first === undefined) return steps
  // what most of what is believed takes for a blunder has met nothing
  const evidence = findings.evidence.filter((_, e) => !isDoubted(model, findings, belief, e))
  const [leader, ...others] = few.map((h) =>
    meetingOf(model.diagram, { ...findings, evidence }, model.hypotheses[h]),
  )
  if (!leader) return steps
  // one of those that read the same elsewhere may be the easiest to get at
  const meets = (step: ReadingStep): boolean => [leader, ...others].some((meeting) => meeting?.(step))
  const doubted = inDoubt(belief)
  const tells = (step: ReadingStep): number => {
    const { meter, predicted, healthy } = step
    const isAbnormal = distinct(meter, readingOf(predicted[first]), healthy)
    return Math.max(informationOf(meter, predicted, doubted, which), isAbnormal ? abnormalBits : 0)
  }
  const [best] = steps
    .flatMap((step) => {
      if (step.do !== 'measure' || !meets(step)) return []
      const bits = tells(step)
      return bits < worthMeetingBits ? [] : [{ step, bits }]
    })
    .sort((a, b) => b.bits / b.step.cost - a.bits / a.step.cost)
  if (!best) return steps
  const met: ReadingStep = { ...best.step, meets: true, bits: Math.max(best.bits, best.step.bits) }
  const rest = steps.filter((step) => step !== best.step)
  const isBefore = (step: Step): boolean =>
    isDecidedNearer(step, best.step) || (best.step.bits <= muchBits && step.bits > muchBits)
  return [...rest.filter(isBefore), met, ...rest.filter((step) => !isBefore(step))]
}

const isDecidedNearer = (step: Step, { reach }: ReadingStep): boolean =>
  step.do === 'measure' && step.again === 'decides' && step.reach < reach

/** The same with the odds of every two suspects as their root: fifty to one is seven to one. */
const inDoubt = (belief: Belief): Belief => ({ ...belief, probability: belief.probability.map(Math.sqrt) })
