import { display, type Meter } from '../circuit/meters'
import { callWords, partOfPoint, partWords, zoneWords, type Diagram } from '../diagram/diagram'
import { liftedAt } from '../diagram/liftedAt'
import { callTerminals } from '../diagram/roles'
import type { TestBridge } from '../parts/kind'
import type { Diagnosis } from './diagnose'
import {
  doneFor,
  type Again,
  type ConditionStep,
  type Deed,
  type LookStep,
  type Outcome,
  type ReadingStep,
  type Step,
  type WaitStep,
} from './steps'
import { conditionNamed, spanWords, type ConditionSpan } from '../visit/conditionWords'
import { percentWords } from '../visit/percentWords'
import { seenWords } from '../parts/lookVocabulary'
import { likeWords } from './howToldApart'
import { meterWords, oddsWords } from './words'

/** The next step, as one would say it to a helper. */
export type Ask = MeasureAsk | LookAsk | WaitAsk | ConditionAsk

export interface MeasureAsk extends AskFacts {
  readonly do: 'measure'
  readonly meter: Meter
  readonly meterWords: string
  readonly from: string
  readonly to: string
  readonly fromWords: string
  readonly toWords: string
  /** What else should read the same, as it follows the value; empty for most. */
  readonly like: string
  /** It was taken already; the reason says why once more. */
  readonly again: boolean
  /** It is taken at what is to come out; the reason says why. */
  readonly meets: boolean
}

export interface LookAsk extends AskFacts {
  readonly do: 'look'
  readonly of: string
  readonly ofWords: string
  /** What may be seen, one of these to be said. */
  readonly answers: readonly { readonly what: string; readonly words: string }[]
}

export interface WaitAsk extends AskFacts {
  readonly do: 'wait'
  readonly seconds: number
  readonly ofWords: string
}

export interface ConditionAsk extends AskFacts {
  readonly do: 'condition'
  readonly of: string
  readonly ofWords: string
  readonly unit: string
  readonly caution: string
}

/** What may come of a step, and what it would mean. */
export interface AskOutcome {
  /** In the units that values are kept in. */
  readonly shows: string
  /** Of a condition, where it lies: whoever shows it says it in the units of the device. */
  readonly span?: ConditionSpan
  readonly means: string
  readonly odds: string
}

interface AskFacts {
  readonly zone: string
  readonly call: string
  readonly callWords: string
  readonly power: Step['power']
  /** What is read or seen if all is well. */
  readonly healthy: string
  readonly reason: string
  readonly outcomes: readonly AskOutcome[]
  /** The part that is mended anyway, where this only tells which of its faults it is; empty else. */
  readonly inside: string
  /** What to do first, and undo after. */
  readonly deed: (Deed & { readonly words: string; readonly caution: string }) | null
}

const shownFrom = 0.004

export function askOf(diagnosis: Diagnosis, step: Step): Ask {
  switch (step.do) {
    case 'wait':
      return waitAsk(diagnosis, step)
    case 'condition':
      return conditionAsk(diagnosis, step)
    case 'look':
      return lookAsk(diagnosis, step)
    case 'measure':
      return measureAsk(diagnosis, step)
  }
}

const readAgain: Readonly<Record<Again, string>> = {
  doubted:
    'Once more, leads and function checked: most of what is likely does not explain what was read here.',
  decides:
    'Once more, leads pressed on clean metal and nowhere else: the verdict hangs on this reading alone, and a lead that does not touch, or touches beside, reads the same.',
}

const meetsIt =
  'On the suspect itself, before it is condemned: all that speaks for it was read elsewhere, ' +
  'and something that nobody drew could read the same there.'

const meetsWithoutLead =
  'With this lead off, before it is condemned: what it shorts must be gone then, ' +
  'or another lead shorts it, or something that nobody drew.'

function meetingReason({ model, findings }: Diagnosis, step: ReadingStep): string {
  return doneFor(step, findings.now).some(({ verb, of }) => verb === 'lift' && model.diagram.wires.has(of))
    ? meetsWithoutLead
    : meetsIt
}

function measureAsk(diagnosis: Diagnosis, step: ReadingStep): MeasureAsk {
  const { diagram } = diagnosis.model
  const point = (id: string): string =>
    id === 'EARTH' ? 'bare metal of the unit' : (diagram.points.get(id)?.words ?? id)
  const facts = factsOf(
    diagnosis,
    step,
    display(step.healthy, step.meter),
    (outcome) => display(outcome.value, step.meter),
    step.deed,
  )
  return {
    ...facts,
    reason: step.again ? readAgain[step.again] : step.meets ? meetingReason(diagnosis, step) : facts.reason,
    do: 'measure',
    meter: step.meter,
    meterWords: meterWords[step.meter],
    from: step.from,
    to: step.to,
    like: likeWords(diagram, step),
    fromWords: point(step.from),
    toWords: point(step.to),
    again: step.again !== null,
    meets: step.meets,
    zone: zoneWords(diagram, diagram.points.get(step.from)?.zone ?? ''),
  }
}

function lookAsk(diagnosis: Diagnosis, step: LookStep): LookAsk {
  const { diagram } = diagnosis.model
  const part = diagram.parts.get(step.of)
  return {
    ...factsOf(
      diagnosis,
      step,
      seenWords(step.healthy),
      (outcome) => seenWords(outcome.seen ?? ''),
      step.deed,
    ),
    do: 'look',
    of: step.of,
    ofWords: partWords(diagram, step.of),
    zone: zoneWords(diagram, part?.zone ?? ''),
    answers: step.outcomes.map(({ seen }) => ({ what: seen ?? '', words: seenWords(seen ?? '') })),
  }
}

function waitAsk(diagnosis: Diagnosis, step: WaitStep): WaitAsk {
  const { diagram } = diagnosis.model
  return {
    ...factsOf(diagnosis, step, '', () => '', null),
    outcomes: [],
    do: 'wait',
    seconds: step.seconds,
    ofWords: partWords(diagram, step.of),
    zone: '',
    reason: 'A delay still runs. A judgement before it has passed is a wrong judgement.',
  }
}

const conditionReasons = {
  verdict: 'What stands out answers to it: no verdict before it is measured.',
  reading: 'A healthy unit reads otherwise in other weather: measure it first.',
  apart: 'It would tell suspects apart.',
} as const

function conditionAsk(diagnosis: Diagnosis, step: ConditionStep): ConditionAsk {
  const { words, unit, caution } = conditionNamed(step.of)
  return {
    ...factsOf(
      diagnosis,
      step,
      '',
      ({ span }) => (span ? spanWords(step.of, span) : 'As the call assumes'),
      null,
    ),
    do: 'condition',
    of: step.of,
    ofWords: words,
    unit,
    caution,
    zone: '',
    reason: conditionReasons[step.first ?? 'apart'],
  }
}

function factsOf(
  { model, belief }: Diagnosis,
  step: Step,
  healthy: string,
  shows: (outcome: Outcome) => string,
  deed: Deed | null,
): Omit<AskFacts, 'zone'> {
  const [first, second] = step.outcomes
  return {
    call: step.call,
    callWords: callWords(model.diagram, step.call),
    power: step.power,
    healthy,
    reason:
      first && second
        ? `Parts ${count(first.hypotheses.length)} from ${count(second.hypotheses.length)}, ${percentWords(first.probability)} against ${percentWords(second.probability)}`
        : '',
    outcomes: step.outcomes
      .filter(({ probability }) => probability > shownFrom)
      .slice(0, 4)
      .map((outcome) => ({
        shows: shows(outcome),
        ...(outcome.span ? { span: outcome.span } : {}),
        odds: oddsWords(outcome.probability),
        means: meaning(
          outcome.hypotheses
            .filter((h) => belief.probability[h] > shownFrom)
            .slice(0, 3)
            .map((h) => model.hypotheses[h].words),
          outcome.hypotheses.length,
        ),
      })),
    inside: 'inside' in step && step.inside !== null ? mended(model.diagram, step.inside) : '',
    deed: deed ? { ...deed, ...deedWords(model.diagram, deed) } : null,
  }
}

const mended = (diagram: Diagram, of: string): string =>
  diagram.wires.has(of) ? `the lead ${of}` : partWords(diagram, of)

const bridgeCautions: Readonly<Record<TestBridge, string>> = {
  momentary: 'For a moment, by hand, and off again. Never leave it.',
  'with-airflow-proven':
    'Isolate and lock out, insulated jumper on, covers on, power on, clamp its amps, and off again. Only with airflow proven and the limits in circuit.',
  'watching-pressure': 'Only with gauges on, watching the pressure; for a moment.',
  never: '',
}

export function deedWords(
  diagram: Diagram,
  { verb, of, to }: Deed,
): { readonly words: string; readonly caution: string } {
  const part = diagram.parts.get(of.split('.')[0])
  const name = part?.words ?? of
  switch (verb) {
    case 'bridge': {
      if (of === diagram.hot && callTerminals(diagram).includes(to))
        return {
          words: `Join ${of.split('.')[1]} to ${to.split('.')[1]} at the board`,
          caution:
            'R to Y skips the thermostat’s compressor delay: keep it yourself. With electric heat join G as well. Never R to C.',
        }
      return {
        words: `Join ${of} to ${to} for a moment`,
        caution: bridgeCautions[part?.kind.testBridge ?? 'never'],
      }
    }
    case 'unplug':
      return { words: `Pull ${name}`, caution: 'Isolated and proven dead.' }
    case 'lift':
      return {
        words: diagram.points.has(of) ? `Lift every lead of ${of}` : liftWords(diagram, of),
        caution: 'Isolated and proven dead. Note its terminal, colour and number first.',
      }
    case 'land':
      return {
        words: diagram.points.has(of) ? `Land every lead of ${of}` : `Land the lead ${of}`,
        caution: 'Each on the terminal that was noted for it.',
      }
    case 'plug':
      return { words: `Put ${name} in again`, caution: 'Isolated and proven dead.' }
    case 'start':
      return { words: part?.kind.start?.words ?? `Start ${name} anew`, caution: '' }
    case 'warm':
      return { words: `Warm ${name} with the hand`, caution: '' }
    case 'cool':
      return { words: `Cool ${name} with ice`, caution: '' }
    default:
      return { words: `${verb} ${name}`, caution: '' }
  }
}

/** What a lead touches would be read by an end that is still on; a field lead comes off at the board. */
function liftWords(diagram: Diagram, of: string): string {
  const lead = diagram.wires.get(of)
  const ends = lead ? liftedAt(diagram, lead) : []
  if (ends.length > 1) return `Lift the lead ${of} at both ends`
  return ends.some((end) => partOfPoint(end) !== diagram.board)
    ? `Lift the lead ${of} at ${ends.join()}`
    : `Lift the lead ${of}`
}

const meaning = (leading: readonly string[], all: number): string =>
  leading.length === 0
    ? `${count(all)} left`
    : `${leading.join(' · ')}${all > leading.length ? ` · ${all - leading.length} more` : ''}`
const count = (n: number): string => (n === 1 ? 'one suspect' : `${n} suspects`)
