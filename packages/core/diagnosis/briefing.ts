import { display, type Meter } from '../circuit/meter'
import type { CaseFile } from '../visit/entry'
import type { Diagram } from '../diagram/diagram'
import { diagnose, type Diagnosis } from './diagnose'
import { partition, type Outcome, type Step } from './nextReading'
import { stripsOf, type Strip } from './strip'
import { stillThere } from './suspects'
import { evidenceWords, meterWords, oddsWords, seenWords } from './words'

/** A suspect as shown. */
export interface SuspectBrief {
  readonly id: string
  readonly words: string
  readonly of: readonly string[]
  readonly probability: number
  readonly odds: string
  readonly explains: readonly string[]
  readonly against: readonly string[]
  readonly cause: string
  readonly prove: string
}

export interface ClearedBrief {
  readonly id: string
  readonly words: string
  readonly by: string
}

/** A reading to take or a thing to look at, as one would say it to a helper. */
export type Ask = MeasureAsk | LookAsk

export interface MeasureAsk extends AskFacts {
  readonly do: 'measure'
  readonly meter: Meter
  readonly meterWords: string
  readonly from: string
  readonly to: string
  readonly fromWords: string
  readonly toWords: string
}

export interface LookAsk extends AskFacts {
  readonly do: 'look'
  readonly of: string
  readonly ofWords: string
  /** What may be seen, one of these to be said. */
  readonly answers: readonly { readonly what: string; readonly words: string }[]
}

interface AskFacts {
  readonly zone: string
  readonly call: string
  readonly callWords: string
  readonly power: Step['power']
  /** What is read or seen if all is well. */
  readonly healthy: string
  readonly reason: string
  readonly outcomes: readonly { readonly shows: string; readonly means: string; readonly odds: string }[]
}

/** Everything a screen needs of a diagnosis; plain data that crosses from a worker. */
export interface Briefing {
  readonly suspects: readonly SuspectBrief[]
  readonly cleared: readonly ClearedBrief[]
  readonly asks: readonly Ask[]
  readonly strips: readonly Strip[]
  readonly story: string
  readonly warning: string
}

const shownSuspects = 8
const shownCleared = 10
const shownFrom = 0.004
const clearedBelow = 0.002
/** Log-likelihood by which evidence must favour or speak against a suspect to be named. */
const speaks = 1.5
/** Log-likelihood per reading below which no suspect explains it. */
const unexplained = -4.5

/** Diagnoses a case and puts it into words. Throws EvidenceError, UnknownNameError. */
export function brief(diagram: Diagram, file: Omit<CaseFile, 'unit'>): Briefing {
  const diagnosis = diagnose(diagram, file)
  return {
    suspects: suspectsShown(diagnosis),
    cleared: clearedShown(diagnosis),
    asks: diagnosis.next.map((step) => askOf(diagnosis, step)),
    strips: stripsOf(diagnosis),
    story: story(diagnosis),
    warning: contradiction(diagnosis),
  }
}

function suspectsShown({ model, belief, ranked, findings }: Diagnosis): readonly SuspectBrief[] {
  return ranked.slice(0, shownSuspects).filter((h) => belief.probability[h] > shownFrom).map((h): SuspectBrief => {
    const { id, words, of, cause, prove } = model.hypotheses[h]
    const told = findings.evidence.map((piece, e) => ({ piece, gain: belief.weight[e][h] - belief.weight[e][0], loss: top(belief.weight[e]) - belief.weight[e][h] }))
    const probability = belief.probability[h]
    return {
      id, words, of, probability, odds: oddsWords(probability), cause, prove,
      explains: told.filter(({ gain }) => gain > speaks).map(({ piece }) => evidenceWords(piece)),
      against: told.filter(({ loss }) => loss > 2 * speaks).map(({ piece }) => evidenceWords(piece)),
    }
  })
}

const top = (weights: Float64Array): number => weights.reduce((a, b) => Math.max(a, b), -Infinity)

function clearedShown({ model, belief, findings }: Diagnosis): readonly ClearedBrief[] {
  if (findings.evidence.length === 0) return []
  return model.hypotheses.map((hypothesis, h) => ({ hypothesis, h }))
    .filter(({ h }) => h > 0 && h < model.singles && belief.probability[h] < clearedBelow)
    .map(({ hypothesis, h }) => {
      const losses = belief.weight.map((weight) => top(weight) - weight[h])
      const most = losses.reduce((best, loss, e) => (loss > losses[best] ? e : best), 0)
      return { hypothesis, loss: losses[most], by: findings.evidence[most] }
    })
    .filter(({ loss }) => loss > speaks)
    .sort((a, b) => b.hypothesis.prior - a.hypothesis.prior).slice(0, shownCleared)
    .map(({ hypothesis, by }) => ({ id: hypothesis.id, words: hypothesis.words, by: evidenceWords(by) }))
}

function askOf({ model, belief }: Diagnosis, step: Step): Ask {
  const { diagram } = model
  const point = (id: string): string => (id === 'EARTH' ? 'bare metal of the unit' : diagram.points.get(id)?.words ?? id)
  const zoneWords = (zone: string | undefined): string => diagram.zones.get(zone ?? '')?.words ?? ''
  const [first, second] = step.outcomes
  const shows = (outcome: Outcome): string => (step.do === 'look' ? seenWords(outcome.seen ?? '') : display(outcome.value, step.meter))
  const facts = {
    call: step.call, callWords: diagram.calls.find(({ id }) => id === step.call)?.words ?? step.call, power: step.power,
    healthy: step.do === 'look' ? seenWords(step.healthy) : display(step.healthy, step.meter),
    reason: second ? `Parts ${count(first.hypotheses.length)} from ${count(second.hypotheses.length)}, ${percent(first.probability)} against ${percent(second.probability)}` : '',
    outcomes: step.outcomes.filter(({ probability }) => probability > 0.004).slice(0, 4).map((outcome) => ({
      shows: shows(outcome), odds: oddsWords(outcome.probability),
      means: meaning(outcome.hypotheses.filter((h) => belief.probability[h] > shownFrom).slice(0, 3).map((h) => model.hypotheses[h].words), outcome.hypotheses.length),
    })),
  }
  if (step.do === 'look') {
    const part = diagram.parts.get(step.of)
    return {
      ...facts, do: 'look', of: step.of, ofWords: part?.words ?? step.of, zone: zoneWords(part?.zone),
      answers: step.outcomes.map(({ seen }) => ({ what: seen ?? '', words: seenWords(seen ?? '') })),
    }
  }
  return {
    ...facts, do: 'measure', meter: step.meter, meterWords: meterWords[step.meter], from: step.from, to: step.to,
    fromWords: point(step.from), toWords: point(step.to), zone: zoneWords(diagram.points.get(step.from)?.zone),
  }
}

const meaning = (leading: readonly string[], all: number): string =>
  leading.length === 0 ? `${count(all)} left` : `${leading.join(' · ')}${all > leading.length ? ` · ${all - leading.length} more` : ''}`
const count = (n: number): string => (n === 1 ? 'one suspect' : `${n} suspects`)
const percent = (share: number): string => `${Math.round(100 * share)} %`

/** The last live point and the first dead one of the call's path, in a sentence. */
function story(diagnosis: Diagnosis): string {
  for (const { stops } of stripsOf(diagnosis)) {
    const measured = stops.filter((stop) => stop.measured !== null && stop.expected > 2)
    const dead = measured.find(({ state }) => state === 'dead')
    if (!dead) continue
    const live = measured.slice(0, measured.indexOf(dead)).reverse().find(({ state }) => state === 'live')
    if (live) return `${display(live.measured, 'volts')} at ${live.point}, ${display(dead.measured, 'volts')} at ${dead.point}: it stops between these two.`
  }
  return ''
}

function contradiction({ belief, findings }: Diagnosis): string {
  const odd = findings.evidence.map((piece, e) => ({ piece, best: top(belief.weight[e].map((weight, h) => (belief.probability[h] > 0.01 ? weight : -Infinity))) }))
    .filter(({ best, piece }) => piece.kind === 'reading' && best < unexplained)
  if (odd.length === 0) return ''
  return `No single suspect explains ${odd.map(({ piece }) => evidenceWords(piece)).join(' and ')}. Check the meter’s function and leads and repeat it.`
}

/** How a value just typed sits against what the circuit can give: an empty text, or a question worth asking. */
export function doubtAbout(diagnosis: Diagnosis, meter: Meter, from: string, to: string, value: number | null): string {
  const { model, belief, findings } = diagnosis
  const situation = model.situation(findings.now, stillThere(model, belief.repairedFaults, findings.now))
  const all = Array.from({ length: model.singles }, (_, h) => h)
  const outcomes = partition(meter, situation.predict(meter, from, to, all), belief, all)
  const near = outcomes.some((outcome) => (outcome.value === null ? value === null
    : value !== null && Math.abs(outcome.value - value) <= Math.max(1.5, 0.2 * Math.abs(outcome.value))))
  return near ? '' : 'No state of this circuit gives that. Check the meter’s function, the leads and the terminal.'
}
