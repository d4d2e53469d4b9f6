import { leadingFew } from './leadingFew'
import { isDoubted } from './doubt'
import { readingOf } from './grouping'
import { distinct } from './likelihood'
import { meetingOf } from './metAtItself'
import { informationOf } from './outcomes'
import type { Search } from './proposals'
import { doneFor, rate, type ReadingStep, type Step } from './steps'
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
 * come of something that nobody drew. The reading that meets it goes first, but behind what tells more than
 * `muchBits` and more for its time, and from another place behind a reading that is to be taken once more
 * here.
 */
export function meetFirst(search: Search, steps: readonly Step[], muchBits: number): readonly Step[] {
  const best = meetingReading(search, steps)
  if (!best) return steps
  const met: ReadingStep = { ...best.step, meets: true, bits: Math.max(best.bits, best.step.bits) }
  const rest = steps.filter((step) => step !== best.step)
  // what a lead came off for is read before anything else
  const isPrepared = best.step.deed === null && isWithoutLead(search, best.step)
  const tellsMore = (step: Step): boolean =>
    !isPrepared && step.bits > muchBits && (best.step.bits <= muchBits || rate(step) > rate(best.step))
  const isBefore = (step: Step): boolean => isDecidedNearer(step, best.step) || tellsMore(step)
  return [...rest.filter(isBefore), met, ...rest.filter((step) => !isBefore(step))]
}

interface Meeting {
  readonly step: ReadingStep
  /** What it tells if what is believed is in doubt. */
  readonly bits: number
}

/** The reading at the suspect in the lead that tells most for its time; null where it was met, or none does. */
function meetingReading(search: Search, steps: readonly Step[]): Meeting | null {
  const { model, findings, belief, which } = search
  const few = leadingFew(belief)
  if (few === null) return null
  // what most of what is believed takes for a blunder has met nothing
  const evidence = findings.evidence.filter((_, e) => !isDoubted(model, findings, belief, e))
  const [leader, ...others] = few.map((h) =>
    meetingOf(model.diagram, { ...findings, evidence }, model.hypotheses[h]),
  )
  if (!leader) return null
  const doubted = inDoubt(belief)
  const tells = (step: ReadingStep): number => {
    const { meter, predicted, healthy } = step
    // without its lead, what has rubbed through is gone: there it is healthy, and anything else is not
    const isItsOwn = isWithoutLead(search, step) || distinct(meter, readingOf(predicted[few[0]]), healthy)
    return Math.max(informationOf(meter, predicted, doubted, which), isItsOwn ? abnormalBits : 0)
  }
  // one of those that read the same elsewhere may be the easiest to get at
  const meets = (step: ReadingStep): boolean => [leader, ...others].some((meeting) => meeting?.(step))
  const [best] = steps
    .flatMap((step) => (step.do === 'measure' && meets(step) ? [{ step, bits: tells(step) }] : []))
    .filter(({ bits }) => bits >= worthMeetingBits)
    .sort((a, b) => b.bits / b.step.cost - a.bits / a.step.cost)
  return best ?? null
}

/** Ohms with leads off, by what is done for them or was done already. */
const isWithoutLead = ({ findings }: Search, step: ReadingStep): boolean =>
  step.meter === 'ohms' && doneFor(step, findings.now).some(({ verb }) => verb === 'lift')

const isDecidedNearer = (step: Step, { reach }: ReadingStep): boolean =>
  step.do === 'measure' && step.again === 'decides' && step.reach < reach

/** The same with the odds of every two suspects as their root: fifty to one is seven to one. */
const inDoubt = (belief: Belief): Belief => ({ ...belief, probability: belief.probability.map(Math.sqrt) })
