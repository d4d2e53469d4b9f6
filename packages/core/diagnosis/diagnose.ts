import type { Diagram } from '../diagram/diagram'
import type { CaseFile } from '../visit/entry'
import { gather, type Findings } from './evidence'
import { pick, stepsInOrder, type Choosing } from './nextStep'
import { UnitModel } from './predictor'
import type { UnitFacts } from './priors'
import type { Step } from './steps'
import { believe, type Belief } from './suspects'

export interface Diagnosis {
  readonly model: UnitModel
  readonly findings: Findings
  readonly belief: Belief
  /** Hypothesis numbers, most probable first. */
  readonly ranked: readonly number[]
  /** Every step worked out, best first. */
  readonly steps: readonly Step[]
  /** Those to propose; empty when none would tell anything. */
  readonly next: readonly Step[]
}

const models = new WeakMap<Diagram, UnitModel>()

/** The unit's model, kept with its diagram. */
export function modelOf(diagram: Diagram): UnitModel {
  const known = models.get(diagram)
  if (known) return known
  const model = new UnitModel(diagram)
  models.set(diagram, model)
  return model
}

/** What the entries of a case say about a unit, and what to measure next. Throws EvidenceError, UnknownNameError. */
export function diagnose(diagram: Diagram, { complaint, entries }: Omit<CaseFile, 'unit'>, choosing: Choosing = {}, facts: UnitFacts = {}): Diagnosis {
  const model = modelOf(diagram)
  const findings = gather(diagram, { complaint, entries })
  const belief = believe(model, findings, facts)
  const ranked = Array.from(belief.probability, (_, h) => h).sort((a, b) => belief.probability[b] - belief.probability[a])
  const steps = stepsInOrder(model, findings, belief, choosing)
  return { model, findings, belief, ranked, steps, next: pick(steps, choosing.count) }
}
