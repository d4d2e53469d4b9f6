import type { Findings } from '../visit/evidence'
import { likelihoodAtBest } from './likelihood'
import type { UnitModel } from './predictor'
import type { Belief } from './suspects'

/**
 * Log-likelihood that a suspect may fall short of one that predicts just this value, and still explain it.
 */
const explains = 3.5
/** Share of what is believed that must take a reading for a blunder, before it is worth taking it again. */
const doubtedFrom = 0.25

/**
 * Whether so much of what is believed takes a reading for a blunder that the same reading once more tells
 * most: a lead that did not touch, another terminal, a slip. `e` is its place among the evidence.
 */
export function isDoubted(
  { hypotheses }: UnitModel,
  { evidence }: Findings,
  { weight, probability }: Belief,
  e: number,
): boolean {
  const piece = evidence[e]
  if (piece.kind !== 'reading') return false
  const exact = Math.log(likelihoodAtBest(piece.meter, piece.value))
  let doubt = 0
  weight[e].forEach((chance, h) => {
    if (exact - chance > explains && !hypotheses[h].notDrawn) doubt += probability[h]
  })
  return doubt > doubtedFrom
}
