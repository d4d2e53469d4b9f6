import { lastPutRight } from './proofsSinceRepair'
import type { ProofTaken, VisitState } from './visitState'

/**
 * Whether a proof says more than that all is right: a value, words, or something read or looked at in its
 * call since the last repair and since the power was last switched. A bare word proves nothing to whoever
 * reads the report.
 */
export function proofSays(
  { entries, readings, observations }: Pick<VisitState, 'entries' | 'readings' | 'observations'>,
  { entry, body }: ProofTaken,
): boolean {
  if (body.words.trim() !== '' || (body.values ?? []).length > 0) return true
  const proven = entries.indexOf(entry)
  const before = entries.slice(0, proven)
  const since = Math.max(
    lastPutRight(before),
    before.findLastIndex((earlier) => earlier.body.kind === 'power'),
  )
  return [...readings, ...observations].some(({ entry: taken, call, power }) => {
    const at = entries.indexOf(taken)
    // until a call is set, it is the one that was complained of
    return (call ?? body.call) === body.call && power === 'on' && since < at && at < proven
  })
}
