import type { EntryBody } from './entry'
import type { Entry } from './log'
import type { ProofTaken, VisitState } from './visitState'

/** A part renewed or mended, a plan carried out, a setting changed, an alteration taken back. */
const putsRight = (body: EntryBody): boolean =>
  body.kind === 'repair' ||
  body.kind === 'rewired' ||
  (body.kind === 'setting' && body.from !== body.to) ||
  (body.kind === 'alteration-settled' && body.as === 'corrected')

/** Where in the log something was last put right; −1 where nothing was. */
export const lastPutRight = (entries: readonly Entry[]): number =>
  entries.findLastIndex(({ body }) => putsRight(body))

/** What was said of the calls after the last thing that was put right; null where nothing was. */
export function proofsSinceRepair({
  entries,
  proofs,
}: Pick<VisitState, 'entries' | 'proofs'>): readonly ProofTaken[] | null {
  const lastRepair = lastPutRight(entries)
  return lastRepair < 0 ? null : proofs.filter(({ entry }) => entries.indexOf(entry) > lastRepair)
}
