import type { CaseFile } from '../visit/entry'
import { readingsOf } from '../visit/evidence'
import { supplyDanger, supplyDangerWords } from '../visit/supplyDanger'
import { partOfBranch, partWords, type Diagram } from '../diagram/diagram'
import { answeredWords, isAnswered } from './answered'
import { askOf, type Ask } from './asks'
import { coverageOf, type Coverage } from './coverage'
import { diagnose, judge, type Diagnosis } from './diagnose'
import type { Choosing } from './nextStep'
import { notDrawnBetween } from './notDrawnBetween'
import type { PriorReason, UnitFacts } from './priors'
import { provingSteps, provingWords } from './proving'
import { handledAsOne, type SuspectGroup } from './handledAsOne'
import { restartSeconds, restartWords } from './restartLoop'
import { sideFindings } from './sideFindings'
import { beforeEnergising, contradictionOf, doubtOf, storyOf } from './story'
import { stripsOf, type Strip } from './strip'
import { againstWords, evidenceWords, oddsWords } from './words'

export type { Ask, ConditionAsk, LookAsk, MeasureAsk, WaitAsk } from './asks'

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
  /** What the trade does to prove it; may be empty. */
  readonly prove: string
  /** What would show it best of all that can be read or seen from here; may be empty. */
  readonly proof: string
  readonly before: string
  /** How often the unit starts over with it, in the call that is set; empty where it does not. */
  readonly restarts: string
}

export interface ClearedBrief {
  readonly id: string
  readonly words: string
  readonly by: string
}

/** Everything a screen needs of a diagnosis; plain data that crosses from a worker. */
export interface Briefing {
  readonly suspects: readonly SuspectBrief[]
  /** The same, those together that are handled as one. */
  readonly groups: readonly SuspectGroup[]
  readonly cleared: readonly ClearedBrief[]
  readonly asks: readonly Ask[]
  readonly strips: readonly Strip[]
  readonly story: string
  readonly warning: string
  /** That what was complained of works, in a sentence; empty while something may give a reason for it. */
  readonly answered: string
  readonly coverage: Coverage
  /** What was found beside the cause, in sentences. */
  readonly beside: readonly string[]
  /** Why some faults were thought likelier before any evidence. */
  readonly reasons: readonly PriorReason[]
  /** Delays of the call that is set: what moves, and how many seconds after the call. */
  readonly delays: readonly { readonly words: string; readonly seconds: number }[]
}

const shownSuspects = 10
const shownCleared = 10
const shownFrom = 0.004
const clearedBelow = 0.002
/** Log-likelihood by which evidence must favour or speak against a suspect to be named. */
const speaks = 1.5

/** Diagnoses a case and puts it into words. Throws EvidenceError, UnknownNameError. */
export const brief = (
  diagram: Diagram,
  file: Omit<CaseFile, 'unit'>,
  choosing: Choosing = {},
  facts: UnitFacts = {},
): Briefing => inWords(diagnose(diagram, file, choosing, facts))

/**
 * The same before any step has been worked out, which takes a third of the time: nothing is asked for yet,
 * and no suspect has its proof.
 */
export const briefSoFar = (diagram: Diagram, file: Omit<CaseFile, 'unit'>, facts: UnitFacts = {}): Briefing =>
  inWords({ ...judge(diagram, file, facts), steps: [], next: [] })

function inWords(diagnosis: Diagnosis): Briefing {
  const { model, findings, belief } = diagnosis
  const { diagram } = model
  const strips = stripsOf(diagnosis)
  const suspects = suspectsShown(diagnosis)
  return {
    suspects,
    groups: handledAsOne(diagram, suspects),
    cleared: clearedShown(diagnosis),
    asks: diagnosis.next.map((step) => askOf(diagnosis, step)),
    strips,
    story: storyOf(strips),
    warning:
      dangerOf(diagnosis) || [contradictionOf(diagnosis), doubtOf(diagnosis)].filter(Boolean).join(' '),
    answered: isAnswered(model, findings, belief) ? answeredWords : '',
    coverage: coverageOf(diagnosis),
    beside: sideFindings(diagnosis).map(({ words }) => words),
    reasons: diagnosis.belief.reasons,
    delays: delaysShown(diagnosis),
  }
}

/** A supply that nothing in the unit bears goes before anything that readings say. */
function dangerOf({ model: { diagram }, findings }: Diagnosis): string {
  const danger = supplyDanger(diagram, readingsOf(findings))
  return danger ? supplyDangerWords(danger) : ''
}

function suspectsShown(diagnosis: Diagnosis): readonly SuspectBrief[] {
  const { model, belief, ranked, findings } = diagnosis
  const tops = belief.weight.map(top)
  const shown = ranked.slice(0, shownSuspects).filter((h) => belief.probability[h] > shownFrom)
  const proofs = provingSteps(diagnosis, shown)
  return shown.map((h): SuspectBrief => {
    const hypothesis = model.hypotheses[h]
    const { id, of, cause, prove } = hypothesis
    const words = suspectWords(diagnosis, h)
    const told = findings.evidence.map((piece, e) => ({
      piece,
      gain: belief.weight[e][h] - belief.weight[e][0],
      loss: tops[e] - belief.weight[e][h],
    }))
    const probability = belief.probability[h]
    return {
      id,
      words,
      of,
      probability,
      odds: oddsWords(probability),
      cause,
      prove,
      proof: provingWords(diagnosis, proofs.get(h)),
      before: beforeEnergising(model.diagram, hypothesis),
      restarts: restartWords(restartSeconds(diagnosis, h)),
      explains: told
        .filter(({ gain }) => gain > speaks)
        .map(({ piece }) => evidenceWords(model.diagram, piece)),
      against: told
        .filter(({ loss }) => loss > 2 * speaks)
        .map(({ piece, loss }) => `${againstWords(loss)}: ${evidenceWords(model.diagram, piece)}`),
    }
  })
}

/** A suspect in words; what is not as drawn says between which points it must be. */
function suspectWords(diagnosis: Diagnosis, h: number): string {
  const { notDrawn, words } = diagnosis.model.hypotheses[h]
  const between = notDrawn ? notDrawnBetween(diagnosis) : null
  return between ? `${words}. Compare ${between.join(' to ')} with the drawing` : words
}

const top = (weights: Float64Array): number => weights.reduce((a, b) => Math.max(a, b), -Infinity)

/**
 * Faults that a reading shows not to be there: it would have read otherwise with them, and otherwise than a
 * healthy unit.
 * A fault that merely fails to explain a reading is not tested by it.
 */
function clearedShown({ model, belief, findings }: Diagnosis): readonly ClearedBrief[] {
  if (findings.evidence.length === 0) return []
  const tops = belief.weight.map(top)
  return model.hypotheses
    .map((hypothesis, h) => ({ hypothesis, h }))
    .filter(({ h }) => h > 0 && h < model.singles && belief.probability[h] < clearedBelow)
    .map(({ hypothesis, h }) => {
      const against = belief.weight.map((weight, e) =>
        Math.min(tops[e] - weight[h], Math.abs(weight[0] - weight[h])),
      )
      const most = against.reduce((best, loss, e) => (loss > against[best] ? e : best), 0)
      return { hypothesis, loss: against[most], by: findings.evidence[most] }
    })
    .filter(({ loss }) => loss > speaks)
    .sort((a, b) => b.hypothesis.prior - a.hypothesis.prior)
    .slice(0, shownCleared)
    .map(({ hypothesis, by }) => ({
      id: hypothesis.id,
      words: hypothesis.words,
      by: evidenceWords(model.diagram, by),
    }))
}

function delaysShown({ model, findings }: Diagnosis): Briefing['delays'] {
  const lasts = new Map<string, number>()
  for (const { branch, seconds } of model.lateMoves(findings.now)) lasts.set(partOfBranch(branch), seconds)
  return [...lasts].map(([part, seconds]) => ({ words: partWords(model.diagram, part), seconds }))
}
