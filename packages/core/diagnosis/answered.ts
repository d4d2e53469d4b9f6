import { complaintSaid } from '../visit/complaintSaid'
import type { Findings } from '../visit/evidence'
import { complaintChances, looksAtCalls } from './complaint'
import type { UnitModel } from './predictor'
import type { Belief } from './suspects'

/** A suspect gives a reason for a complaint that is heard of it as often as that. */
const reasonFrom = 0.5
/** Of what is believed, the share that may still give a reason while nothing more is looked for. */
const reasonLeft = 0.05

/**
 * Whether what was complained of works: nothing is believed more than that nothing is wrong, and next to
 * nothing that is there just now gives a reason for the complaint in its calls. What shows in other calls only
 * comes to light when every call is proven; what comes and goes is met when it is there.
 */
export function isAnswered(model: UnitModel, { complaint, evidence }: Findings, belief: Belief): boolean {
  const meant = complaintSaid(model.diagram, complaint)
  if (!meant || evidence.length === 0 || !looksAtCalls(meant.means)) return false
  const [nothingWrong] = belief.probability
  if (model.everySingle.some((h) => belief.probability[h] > nothingWrong)) return false
  const chance = complaintChances(model, complaint)
  let left = 0
  for (const h of model.everySingle) {
    if (belief.away[h] || belief.probability[h] === 0 || chance(h) < reasonFrom) continue
    left += belief.probability[h]
    if (left >= reasonLeft) return false
  }
  return true
}

/** The same in a sentence, for whoever came for the complaint. */
export const answeredWords =
  'What was complained of works just now: nothing in its calls gives a reason for it. Prove every call; if it comes back, measure while it is there.'
