import type { ProofTaken, VisitState } from './visitState'

/**
 * Whether a proof says more than that all is right: a value, words, or something read or looked at in its call since
 * the power was last switched. A bare word proves nothing to whoever reads the report.
 */
export function proofSays(
  { entries, readings, observations }: Pick<VisitState, 'entries' | 'readings' | 'observations'>,
  { entry, body }: ProofTaken,
): boolean {
  if (body.words.trim() !== '' || (body.values ?? []).length > 0) return true
  const proven = entries.indexOf(entry)
  const switched = entries.slice(0, proven).findLastIndex((before) => before.body.kind === 'power')
  return [...readings, ...observations].some(({ entry: taken, call, power }) => {
    const at = entries.indexOf(taken)
    // until a call is set, it is the one that was complained of
    return (call ?? body.call) === body.call && power === 'on' && switched < at && at < proven
  })
}
