import type { Diagnosis } from './diagnose'
import { storyPoints } from './story'
import { stripsOf } from './strip'

/**
 * Between which two points the unit must differ from its drawing: the last live and the first dead one of the call's
 * path, or the places of the reading that the other suspects explain worst. Null where nothing was read.
 */
export function notDrawnBetween(diagnosis: Diagnosis): readonly [from: string, to: string] | null {
  const stretch = storyPoints(stripsOf(diagnosis))
  if (stretch) return stretch
  const { belief, findings } = diagnosis
  const readings = findings.evidence.flatMap((piece, e) => (piece.kind === 'reading' ? [{ piece, e }] : []))
  const [worst] = readings
    .map(({ piece, e }) => ({ piece, best: belief.weight[e].reduce((a, b) => Math.max(a, b), -Infinity) }))
    .sort((a, b) => a.best - b.best)
  return worst ? [worst.piece.from, worst.piece.to] : null
}
