import { entriesOf } from './fold'
import type { EntryBody } from './entry'
import { merge, standingEntries, type Entry } from './log'

/** How far a call has come. */
export type CallState = 'waiting' | 'under-way' | 'closed'

/** A call as a board shows it. */
export interface CallSummary {
  readonly complaint: string
  readonly words: string
  readonly state: CallState
  readonly outcome: string
  /** Who went there, or else took the call; empty where nobody did yet. */
  readonly technician: string
}

/** The kinds of entries that a summary is made of: the rest of a log need not be at hand. */
export const summaryKinds: readonly EntryBody['kind'][] = ['complaint', 'arrived', 'sign-off', 'retracted']

/** What a log says of its call, in whatever order it came in; what was taken back does not count. */
export function callSummary(log: readonly Entry[]): CallSummary {
  const entries = standingEntries(merge(log))
  const complaint = entriesOf(entries, 'complaint').at(-1)
  const closing = entriesOf(entries, 'sign-off').at(-1)
  const arrived = entriesOf(entries, 'arrived').at(-1)
  return {
    complaint: complaint?.body.complaint ?? '',
    words: complaint?.body.words ?? '',
    state: closing ? 'closed' : arrived ? 'under-way' : 'waiting',
    outcome: closing?.body.outcome ?? '',
    technician: (arrived ?? complaint)?.entry.by ?? '',
  }
}
