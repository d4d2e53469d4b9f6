import { display } from '../circuit/meters'
import { partWords } from '../diagram/diagram'
import { deedWords } from './asks'
import type { Diagnosis } from './diagnose'
import { readingOf } from './grouping'
import { distinct } from './likelihood'
import type { LookStep, ReadingStep } from './steps'
import { seenWords } from '../parts/lookVocabulary'
import { meterWords, placeWords, standingWords } from './words'

/** A step, and what would show at it if it were a suspect. */
export interface ProvingStep {
  readonly step: ReadingStep | LookStep
  readonly shows: string
  /** The suspect's probability if that is what shows. */
  readonly then: number
}

/** A proof must make a suspect so many times as probable as it is, or sure. */
const worthSaying = 1.5
const sure = 0.95
/** A proof is for a suspect that stands out already, and is sought among the steps that tell most. */
const standsOut = 0.05
/** What is as good as certain needs no other proof than what the trade does before the part comes out. */
const asGoodAsCertain = 0.98
const soughtAmong = 24
/** Suspects less probable than this do not change what stands out. */
const negligible = 1e-4

/**
 * For each suspect, the step after which it would stand out most; of equals the cheaper. Left out where none
 * helps.
 */
export function provingSteps(
  { belief: { probability }, ranked, steps }: Diagnosis,
  suspects: readonly number[],
): ReadonlyMap<number, ProvingStep> {
  const proofs = new Map<number, ProvingStep>()
  const wanted = suspects.filter((h) => probability[h] >= standsOut && probability[h] < asGoodAsCertain)
  if (wanted.length === 0) return proofs
  const others = ranked.filter((h) => probability[h] > negligible)
  const offer = (h: number, proof: ProvingStep): void => {
    if (proof.then < Math.min(sure, worthSaying * probability[h])) return
    const known = proofs.get(h)
    if (
      !known ||
      proof.then > known.then + 0.005 ||
      (proof.then > known.then - 0.005 && proof.step.cost < known.step.cost)
    )
      proofs.set(h, proof)
  }
  for (const step of steps
    .filter(({ bits }) => bits > 0)
    .sort((a, b) => b.bits - a.bits)
    .slice(0, soughtAmong)) {
    if (step.do === 'wait' || step.do === 'condition') continue
    for (const h of wanted) {
      if (step.do === 'look') {
        const outcome = step.outcomes.find(({ hypotheses }) => hypotheses.includes(h))
        if (outcome)
          offer(h, { step, shows: seenWords(outcome.seen ?? ''), then: probability[h] / outcome.probability })
        continue
      }
      const { meter, predicted } = step
      const value = readingOf(predicted[h])
      const alike = others.reduce(
        (sum, other) =>
          distinct(meter, readingOf(predicted[other]), value) ? sum : sum + probability[other],
        0,
      )
      offer(h, { step, shows: display(value, meter), then: probability[h] / alike })
    }
  }
  return proofs
}

/** The proof in words, with what is done for it first. */
export function provingWords({ model: { diagram } }: Diagnosis, proof: ProvingStep | undefined): string {
  if (!proof) return ''
  const { step, shows } = proof
  const held = standingWords(diagram, step.call, step.power)
  const first = step.deed ? `${deedWords(diagram, step.deed).words}; then ` : ''
  return step.do === 'look'
    ? `${first}${partWords(diagram, step.of)} ${shows} (${held})`
    : `${first}${shows} ${placeWords(step.meter, step.from, step.to)}, ${meterWords[step.meter]} (${held})`
}
