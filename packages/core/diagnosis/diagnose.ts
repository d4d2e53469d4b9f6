import type { Diagram } from '../diagram/diagram'
import type { CaseFile } from '../visit/entry'
import { gather, type Findings } from '../visit/evidence'
import { unitAsMeasured } from '../visit/unitAsMeasured'
import { pick, stepsInOrder, type Choosing } from './nextStep'
import { UnitModel } from './predictor'
import type { UnitFacts } from './priors'
import type { Step } from './steps'
import { believe, type Belief } from './suspects'
import { onSupplyFound } from './supplyFound'

/** What is believed of a unit. */
export interface Judgement {
  readonly model: UnitModel
  readonly findings: Findings
  readonly belief: Belief
  /** Hypothesis numbers, most probable first. */
  readonly ranked: readonly number[]
}

export interface Diagnosis extends Judgement {
  /** Every step worked out, best first. */
  readonly steps: readonly Step[]
  /** Those to propose; empty when none would tell anything. */
  readonly next: readonly Step[]
}

/**
 * Units kept solved at once: each takes a hundred megabytes and more once its calls have been looked into.
 */
const mostModels = 2
const models = new Map<Diagram, UnitModel>()

/** The unit's model, kept until others have been asked for. */
export function modelOf(diagram: Diagram): UnitModel {
  const model = models.get(diagram) ?? new UnitModel(diagram)
  // to the end of the line: the first in it goes first
  models.delete(diagram)
  models.set(diagram, model)
  const [oldest] = models.keys()
  if (models.size > mostModels) models.delete(oldest)
  return model
}

/** What the entries of a case say about a unit. Throws EvidenceError, UnknownNameError. */
export function judge(diagram: Diagram, file: Omit<CaseFile, 'unit'>, facts: UnitFacts = {}): Judgement {
  const measured = unitAsMeasured(diagram, file.entries)
  const findings = gather(measured, file)
  const isSaid = file.entries.some(({ kind }) => kind === 'supply')
  const fed = isSaid ? measured : onSupplyFound(modelOf(measured), findings.evidence)
  const model = modelOf(fed)
  const belief = believe(model, findings, facts)
  return {
    model,
    findings,
    belief,
    ranked: Array.from(belief.probability, (_, h) => h).sort(
      (a, b) => belief.probability[b] - belief.probability[a],
    ),
  }
}

/** The same, and what to measure next. */
export function diagnose(
  diagram: Diagram,
  file: Omit<CaseFile, 'unit'>,
  choosing: Choosing = {},
  facts: UnitFacts = {},
): Diagnosis {
  const judgement = judge(diagram, file, facts)
  const { model, findings, belief } = judgement
  const steps = stepsInOrder(model, findings, belief, choosing)
  return { ...judgement, steps, next: pick(steps, choosing.count) }
}
