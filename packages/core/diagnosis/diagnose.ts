import type { Diagram } from '../diagram/diagram'
import type { CaseFile } from '../visit/entry'
import { gather, type Findings } from './evidence'
import { rankReadings, type Step } from './nextReading'
import { UnitModel } from './predictor'
import { believe, type Belief } from './suspects'

export interface Diagnosis {
  readonly model: UnitModel
  readonly findings: Findings
  readonly belief: Belief
  /** Hypothesis numbers, most probable first. */
  readonly ranked: readonly number[]
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
export function diagnose(diagram: Diagram, { complaint, entries }: Omit<CaseFile, 'unit'>): Diagnosis {
  const model = modelOf(diagram)
  const findings = gather(diagram, { complaint, entries })
  const belief = believe(model, findings)
  const ranked = Array.from(belief.probability, (_, h) => h).sort((a, b) => belief.probability[b] - belief.probability[a])
  return { model, findings, belief, ranked, next: rankReadings(model, findings, belief) }
}
