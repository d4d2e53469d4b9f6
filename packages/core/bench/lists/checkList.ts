import { unitOf } from '../../circuit/meters'
import type { Diagram } from '../../diagram/diagram'
import type { DisplayUnits } from '../../physics/displayUnits'
import type { Of } from '../../visit/fold'
import type { BenchReading, Verdict } from '../tool'

/** What a step reads, and between what it is right; `most` of Infinity takes OL too. */
export interface StepReading extends Omit<BenchReading, 'value'> {
  readonly least: number
  readonly most: number
}

/** One thing of a list: what to do, what should come of it, and what it says if it does not. */
export interface ListStep {
  readonly id: string
  readonly does: string
  readonly should: string
  readonly wrong: string
  /** It is read in the unit, and the value is evidence. */
  readonly reading?: StepReading
  readonly caution?: string
}

/** What was found at a step: the value read, or what was seen; not tried where it could not be. */
export type Found = number | 'right' | 'wrong' | 'not-tried'
export type Answers = Readonly<Record<string, Found>>

/** A list that is gone through in order: proof of wiring, of a part, of a repair. */
export interface BenchList {
  readonly id: string
  readonly title: string
  readonly group: string
  /** When it is of use, in a sentence. */
  readonly use: string
  readonly source: string
  readonly caution: string
  /** Parts of a unit that it can be about; none: it is about the whole unit. */
  readonly parts: (diagram: Diagram) => readonly string[]
  /** Its steps at a part of a unit, or for any unit of this sort where none is known. */
  readonly steps: (diagram: Diagram | null, part: string, units: DisplayUnits) => readonly ListStep[]
}

/** Whether what was found at a step is as it should be; null where it was not tried. */
export function isRight({ reading }: ListStep, found: Found | undefined): boolean | null {
  if (found === undefined || found === 'not-tried') return null
  if (typeof found === 'string') return found === 'right'
  return reading !== undefined && found >= reading.least && found <= reading.most
}

/**
 * What a list says so far: what is wrong first, then what is still unproven; all right only where all was
 * tried.
 */
export function listVerdict(steps: readonly ListStep[], answers: Answers): Verdict {
  const judged = steps.map((step) => ({ step, right: isRight(step, answers[step.id]) }))
  const wrong = judged.filter(({ right }) => right === false)
  const unproven = judged.filter(({ right }) => right === null)
  const lines = judged
    .filter(({ right }) => right !== null)
    .map(({ step, right }) => ({ what: step.does, value: right ? 'right' : `wrong: ${step.wrong}` }))
  const left = unproven.map(({ step }) => ({ what: step.does, value: 'not proven' }))
  if (wrong.length > 0) return { level: 'act', words: wrong[0].step.wrong, lines: [...lines, ...left] }
  if (unproven.length === 0) return { level: 'good', words: 'Everything on the list is proven.', lines }
  return {
    level: 'watch',
    words:
      unproven.length === steps.length
        ? 'Nothing is proven yet.'
        : `${steps.length - unproven.length} of ${steps.length} proven; what is not is said.`,
    lines: [...lines, ...left],
  }
}

/** What was read for a list, as readings of the visit. OL is no number. */
export const listReadings = (steps: readonly ListStep[], answers: Answers): readonly Of<'reading'>[] =>
  steps.flatMap(({ id, reading }) => {
    const found = answers[id]
    if (!reading || typeof found !== 'number') return []
    const { meter, from, to } = reading
    return [{ kind: 'reading' as const, meter, from, to, value: found === Infinity ? null : found }]
  })

/** A list as an entry of the visit: each step with what was found, and what could not be proven. */
export function listEntry(
  { title }: BenchList,
  steps: readonly ListStep[],
  answers: Answers,
  of: string,
): Of<'calculation'> {
  const { level, words, lines } = listVerdict(steps, answers)
  return {
    kind: 'calculation',
    tool: title,
    ...(of ? { of } : {}),
    given: steps.flatMap(({ id, reading, does }) => {
      const found = answers[id]
      return reading && typeof found === 'number'
        ? [{ what: does, value: found === Infinity ? 'OL' : `${found} ${unitOf(reading.meter)}` }]
        : []
    }),
    found: lines,
    level,
    words,
  }
}
