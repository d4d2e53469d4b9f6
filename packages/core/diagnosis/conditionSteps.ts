import type { Diagram } from '../diagram/diagram'
import type { Fault } from '../parts/effect'
import { isSurrounding } from '../parts/surroundings'
import { measuredConditions, type ConditionSpan } from '../visit/conditionWords'
import { looksLike, readsLike, unmeasured } from './otherSurroundings'
import { outcomeBits, partitionBySaying } from './outcomes'
import { situationIn, type Search } from './proposals'
import type { ConditionStep, LookStep, Outcome, ReadingStep } from './steps'
import type { Standing } from '../visit/standing'

/**
 * What surrounds a unit need not be what a suspect has it: that much of what the answer would tell is left.
 */
const conditionTrust = 0.7
/** Probability of suspects that a condition bears on, from which no verdict is given without it. */
const verdictFrom = 0.35

/** Weather, water and pressures that nobody has measured, each worth what it would tell suspects apart. */
export function conditionSteps(search: Search): readonly ConditionStep[] {
  const { findings, which, model } = search
  return measuredConditions
    .filter(({ id }) => findings.now.conditions[id] === undefined && !findings.unreachable.has(id))
    .flatMap(({ id, seconds }): readonly ConditionStep[] => {
      const outcomes = outcomesOf(search, id)
      const bearing = which
        .filter((h) => model.hypotheses[h].faults.some((fault) => bearsOn(model.diagram, id, fault)))
        .reduce((sum, h) => sum + search.belief.probability[h], 0)
      return [
        {
          do: 'condition',
          of: id,
          call: findings.now.call,
          power: findings.now.power,
          bits: conditionTrust * outcomeBits(outcomes, search.belief, which),
          cost: seconds,
          reach: 0,
          outcomes,
          first: bearing >= verdictFrom ? 'verdict' : null,
          bearing,
        },
      ]
    })
}

/** Share of what a condition may be that must change a reading before it is asked for first. */
const turnsFrom = 0.3

/** A suspect that stands out so far: what the weather makes of its reading is looked into. */
const standsOutFrom = 0.5

/**
 * Whether what a step shows depends on a condition that nobody has measured: on a healthy unit, or under a
 * suspect that the step would tell. A coil freezes behind a slipped belt only where a compressor runs at all.
 */
export function turnsOn(search: Search, step: ReadingStep | LookStep, condition: string): boolean {
  const { model, findings, belief, which } = search
  const standing: Standing = { ...findings.now, call: step.call, power: step.power }
  const situation = situationIn(search, standing)
  const like = step.do === 'look' ? looksLike(situation, step.of) : readsLike(situation, step)
  const isAsHealthy = like(0)
  const told = which.filter(
    (h) => h < model.singles && belief.probability[h] >= standsOutFrom && !isAsHealthy(h),
  )
  const isTurned = (k: number): boolean => !isAsHealthy(k) || told.some((h) => !like(h)(model.pair(h, k)))
  const share = unmeasured(model, findings.now.conditions)
    .flatMap((k) => model.hypotheses[k].faults.filter(({ of }) => of === condition && isTurned(k)))
    .reduce((sum, { prior }) => sum + prior, 0)
  return share >= turnsFrom
}

/** Suspects grouped by where they have a condition lie; those that say nothing of it are one group. */
function outcomesOf({ model, which, belief }: Search, condition: string): readonly Outcome[] {
  const spans = new Map<string, ConditionSpan>()
  const spanOf = (h: number): string => {
    const [span] = model.hypotheses[h].faults.flatMap((fault) => spanUnder(fault, condition))
    const name = JSON.stringify(span ?? null)
    if (span) spans.set(name, span)
    return name
  }
  return partitionBySaying(belief, which, spanOf).map(({ seen = '', ...outcome }): Outcome => {
    const span = spans.get(seen)
    return span ? { ...outcome, span } : outcome
  })
}

/** Where a fault has a condition lie; nothing where it says nothing of it. */
function spanUnder({ class: sort, of, id, when }: Fault, condition: string): readonly ConditionSpan[] {
  if (sort === 'surroundings' && of === condition) {
    const [above, below] = id
      .slice(id.indexOf(':') + 1)
      .split('..')
      .map(Number)
    return [{ above, below }]
  }
  return when?.of === condition ? [{ above: when.above, below: when.below }] : []
}

/**
 * Whether a fault cannot be told without a condition: its part answers to it, or is governed by what does.
 */
function bearsOn({ parts }: Diagram, condition: string, fault: Fault): boolean {
  if (fault.when?.of === condition) return true
  if (fault.class === 'surroundings') return fault.of === condition
  const part = parts.get(fault.of)
  if (part === undefined) return false
  const reads = part.kind.settings.reads === undefined ? '' : part.settings.text('reads')
  // a changeover of outdoor air goes by all that its sensors feel
  return reads === condition || (isSurrounding(condition) && part.kind.governedBy === 'sensors')
}
