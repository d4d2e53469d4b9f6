import { isInWire, isOhms } from '../circuit/meters'
import type { EntryBody } from '../visit/entry'
import type { Candidate } from './candidates'
import { diagnose, type Diagnosis } from './diagnose'
import { readingOf } from './grouping'
import type { Random } from '../world/random'
import { blunderOf, neighbourOf, noisy } from './noise'
import type { Choosing } from './nextStep'
import type { UnitModel } from './predictor'
import { observationOf } from '../visit/observationOf'
import { atArrival, type Standing } from '../visit/standing'
import { onDayOfVisit } from './dayOfVisit'
import type { ReadingStep, Step } from './steps'

/** How a made-up technician works: what is asked is read off a unit whose faults are known, well or badly. */
export interface TrialOptions extends Choosing {
  readonly random: Random
  /** Readings carry the meter's and the unit's own spread. */
  readonly noise: boolean
  /** Chance of a blunder in each reading. */
  readonly blunders: number
  /** Looks are offered as well as readings. */
  readonly looks: boolean
  readonly mostSteps: number
  /** Classes of the single faults, by hypothesis number: no reading parts their members. */
  readonly classes: Int32Array
  /** Probability of the leading class at which the search ends. */
  readonly sure: number
}

/** What a suspect was given. */
export interface Given {
  readonly hypothesis: number
  readonly probability: number
}

export interface Trial {
  readonly steps: number
  readonly cost: number
  /** Hypothesis numbers that lead at the end, most probable first. */
  readonly ranked: readonly number[]
  readonly diagnosis: Diagnosis
  readonly entries: readonly EntryBody[]
  /** After each step but the first: the probabilities given. */
  readonly given: readonly (readonly Given[])[]
}

/**
 * A complaint under which a unit with this fault does not do what it should; empty when none of the usual
 * ones fits.
 */
export const complaintOf = (model: UnitModel, truth: number): string =>
  model.diagram.complaints.find(({ call }) =>
    model.situation(atArrival(model.diagram, call)).showsSymptom(truth),
  )?.id ?? ''

/** Less than this is not kept for the reliability table. */
const keptFrom = 1e-4

/**
 * Follows the asks on a unit with these faults until one class is sure or nothing more is to be told. Starts
 * behind `before`.
 */
export function playTrial(
  model: UnitModel,
  truth: number,
  complaint: string,
  options: TrialOptions,
  before: readonly EntryBody[] = [],
): Trial {
  const entries = [...before]
  const given: (readonly Given[])[] = []
  let steps = 0
  let cost = 0
  for (;;) {
    const diagnosis = diagnose(
      model.diagram,
      { complaint, entries },
      { ...options, count: 1, sorts: options.looks ? ['measure', 'look'] : ['measure'] },
    )
    const [step] = diagnosis.next
    if (
      !step ||
      steps >= options.mostSteps ||
      (steps > 0 && leadOf(diagnosis, options.classes) >= options.sure)
    )
      return { steps, cost, ranked: diagnosis.ranked, diagnosis, entries, given }
    entries.push(...take(model, truth, diagnosis, step, options))
    steps += 1
    cost += step.cost
    if (steps > 1)
      given.push(
        diagnosis.ranked
          .map((hypothesis) => ({ hypothesis, probability: diagnosis.belief.probability[hypothesis] }))
          .filter(({ probability }) => probability >= keptFrom),
      )
  }
}

/** What is given to the leader together with those that no reading parts from it. */
function leadOf({ ranked: [leader], belief: { probability } }: Diagnosis, classes: Int32Array): number {
  if (leader >= classes.length) return probability[leader]
  return classes.reduce((sum, of, h) => (of === classes[leader] ? sum + probability[h] : sum), 0)
}

/** The entries of one step taken on the unit as it truly is. */
function take(
  model: UnitModel,
  truth: number,
  { findings }: Diagnosis,
  step: Step,
  options: TrialOptions,
): readonly EntryBody[] {
  const { now, home } = findings
  const set: EntryBody[] = []
  if (step.power !== now.power) set.push({ kind: 'power', is: step.power === 'off' ? 'isolated' : 'on' })
  if (step.call !== now.call) set.push({ kind: 'call', call: step.call })
  const standing = onDayOfVisit(model.diagram, home, {
    ...now,
    call: step.call,
    power: step.power,
    off: step.power === now.power ? now.off : [],
    age: null,
  })
  if (step.do === 'look')
    return [...set, observationOf(step.of, seen(model, truth, standing, step.of, options))]
  if (step.do !== 'measure') return set
  return [
    ...set,
    {
      kind: 'reading',
      meter: step.meter,
      from: step.from,
      to: step.to,
      value: read(model, truth, standing, step, options),
    },
  ]
}

/** A look is right but for one in fifty. */
const lookRight = 0.98

function seen(
  model: UnitModel,
  truth: number,
  standing: Standing,
  part: string,
  { noise, random }: TrialOptions,
): string {
  const situation = model.situation(standing)
  const real = situation.glance(truth, part)
  if (!noise || random() < lookRight) return real
  return situation.glance(0, part)
}

function read(
  model: UnitModel,
  truth: number,
  standing: Standing,
  step: ReadingStep,
  { noise, blunders, random }: TrialOptions,
): number | null {
  const blunder = blunderOf(random, blunders)
  const value =
    blunder === null
      ? trueValue(model, truth, standing, step)
      : blundered(model, truth, standing, step, blunder, random)
  return noise ? noisy(step.meter, value, random) : value
}

/** What a meter shows on a unit with these faults. */
export function trueValue(
  model: UnitModel,
  truth: number,
  standing: Standing,
  { meter, from, to }: Pick<Candidate, 'meter' | 'from' | 'to'>,
): number | null {
  return readingOf(model.situation(standing).predict(meter, from, to, [truth])[truth])
}

function blundered(
  model: UnitModel,
  truth: number,
  standing: Standing,
  step: ReadingStep,
  blunder: NonNullable<ReturnType<typeof blunderOf>>,
  random: Random,
): number | null {
  const { diagram } = model
  switch (blunder) {
    case 'open-lead':
      return isOhms(step.meter) ? null : 0
    case 'function':
      // dial on direct volts, or on the wrong side of volts and amps: next to nothing
      return isOhms(step.meter) ? null : Math.abs(trueValue(model, truth, standing, step) ?? 0) * 0.02
    case 'call': {
      const other = diagram.calls[Math.floor(random() * diagram.calls.length)].id
      return trueValue(model, truth, step.power === 'on' ? { ...standing, call: other } : standing, step)
    }
    case 'neighbour':
      return isInWire(step.meter) || step.meter === 'microfarads'
        ? 0
        : trueValue(model, truth, standing, neighbourOf(step, [...diagram.points.keys()], random))
  }
}
