import type { ConditionSpan } from '../visit/conditionWords'
import type { StandingAction } from '../visit/actions'
import type { ActionVerb } from '../visit/entry'
import type { Candidate } from './candidates'
import type { Predictions } from './situationModel'
import type { Standing } from '../visit/standing'

/** One of the outcomes that a step can tell apart. */
export interface Outcome {
  /** What the most probable suspect in it predicts; null is OL. Of a look, 0. */
  readonly value: number | null
  /** What is seen, of a look. */
  readonly seen?: string
  /** Where a condition lies; none where its suspects say nothing of it. */
  readonly span?: ConditionSpan
  readonly probability: number
  /** Hypothesis numbers, most probable first. */
  readonly hypotheses: readonly number[]
}

interface StepFacts {
  readonly call: string
  readonly power: Standing['power']
  /** Expected information, bits. */
  readonly bits: number
  /** Seconds, risk and reach counted in. */
  readonly cost: number
  /** Of those, seconds of getting there. */
  readonly reach: number
  readonly outcomes: readonly Outcome[]
}

/** What has to be done first for the sake of a reading or look, and undone after it. */
export interface Deed {
  readonly verb: ActionVerb
  readonly of: string
  readonly to: string
}

/** Why a reading is taken once more: suspects take it for a blunder, or the verdict hangs on it alone. */
export type Again = 'doubted' | 'decides'

/** A reading to take. */
export interface ReadingStep extends Candidate, StepFacts {
  readonly do: 'measure'
  /** What a healthy unit reads. */
  readonly healthy: number | null
  /** The part that is mended anyway, where the reading only tells which of its faults it is; null else. */
  readonly inside: string | null
  readonly deed: Deed | null
  /** It was taken here already, and why it is taken once more; null where it was not. */
  readonly again: Again | null
  /** The leading suspect is met at itself here, before anybody acts on it. */
  readonly meets: boolean
  /** What it reads by hypothesis number, of those that steer the choice; NaN out of range. */
  readonly predicted: Predictions
}

/** A thing to look at. */
export interface LookStep extends StepFacts {
  readonly do: 'look'
  /** The part to look at. */
  readonly of: string
  /** The part that is mended anyway, where the look only tells which of its faults it is; null else. */
  readonly inside: string | null
  /** What a healthy unit shows. */
  readonly healthy: string
  readonly deed: Deed | null
}

/** A delay that runs: no judgement before it has passed. */
export interface WaitStep extends StepFacts {
  readonly do: 'wait'
  readonly seconds: number
  /** The part that is waited for. */
  readonly of: string
}

/** Something outside the circuit to be measured and entered: weather, water, a pressure. */
export interface ConditionStep extends StepFacts {
  readonly do: 'condition'
  /** The condition. */
  readonly of: string
  /**
   * Why it comes before anything else: what stands out, or the next reading, cannot be told without it;
   * null: it need not.
   */
  readonly first: 'verdict' | 'reading' | null
  /** How much of what is believed cannot be told without it. */
  readonly bearing: number
}

export type Step = ReadingStep | LookStep | WaitStep | ConditionStep

/** Sorts of steps that a search may be held to. */
export type StepSort = 'measure' | 'look' | 'deed' | 'wait' | 'condition'
export const sortOf = (step: Step): StepSort => ('deed' in step && step.deed ? 'deed' : step.do)

/** Readings and looks that a place once reached serves, as a rule. */
const servedByReach = 3

/** What is done to the unit for a reading, or was done already and stands. */
export const doneFor = (
  { deed }: ReadingStep,
  { actions }: Standing,
): readonly Pick<StandingAction, 'verb' | 'of'>[] => (deed ? [deed] : actions)

/** Information per second; the way to a place is shared by what is read there after it. */
export const rate = ({ bits, cost, reach }: Step): number => bits / (cost - reach + reach / servedByReach)
