import type { Diagram } from '../diagram/diagram'
import { showsOpened } from '../parts/lookVocabulary'
import { lastPutRight } from './proofsSinceRepair'
import { putBackBetween } from './standing'
import type { VisitState } from './visitState'

/** A fuse or breaker that opened, and how it is put back. */
export interface OpenedPart {
  readonly of: string
  readonly back: 'renewed' | 'reset'
}

/**
 * Fuses and breakers that were seen open before something was put right, and that nobody has put back since.
 * Before that none is named: what opened them may still be there.
 */
export function openedNotBack(
  diagram: Diagram,
  { entries, observations, standing }: VisitState,
): readonly OpenedPart[] {
  const putRight = lastPutRight(entries)
  const opened = observations.flatMap((seen) => {
    const { entry, body } = seen
    const isBack = putBackBetween(seen, standing, body.of)
    return showsOpened(body.what) && !isBack && entries.indexOf(entry) < putRight ? [body.of] : []
  })
  return [...new Set(opened)].flatMap((of): readonly OpenedPart[] => {
    const kind = diagram.parts.get(of)?.kind
    if (kind?.overcurrent === undefined) return []
    return [{ of, back: kind.overcurrent === 'breaker' ? 'reset' : 'renewed' }]
  })
}
