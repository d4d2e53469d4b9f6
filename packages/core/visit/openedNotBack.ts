import type { Diagram } from '../diagram/diagram'
import { showsOpened } from '../parts/lookVocabulary'
import { gather } from './evidence'
import type { EntryBody } from './entry'

/** A fuse or breaker that opened, and how it is put back. */
export interface OpenedPart {
  readonly of: string
  readonly back: 'renewed' | 'reset'
}

/**
 * Fuses and breakers that were seen open before something was put right, and that nobody has put back since.
 * Before that none is named: what opened them may still be there. Throws EvidenceError, UnknownNameError.
 */
export function openedNotBack(diagram: Diagram, entries: readonly EntryBody[]): readonly OpenedPart[] {
  const { evidence, now } = gather(diagram, { complaint: '', entries })
  const opened = evidence.flatMap((piece) => {
    if (piece.kind !== 'look' || !showsOpened(piece.what)) return []
    const { renewed, repairs } = piece.standing
    const isBack = now.renewed[piece.of] !== renewed[piece.of]
    return isBack || repairs === now.repairs ? [] : [piece.of]
  })
  return [...new Set(opened)].flatMap((of): readonly OpenedPart[] => {
    const kind = diagram.parts.get(of)?.kind
    if (kind?.overcurrent === undefined) return []
    return [{ of, back: kind.overcurrent === 'breaker' ? 'reset' : 'renewed' }]
  })
}
