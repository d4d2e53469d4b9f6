import type { EntryBody } from './entry'
import type { ProofTaken, VisitState } from './visitState'

/** A part renewed or mended, a setting changed, an alteration taken back. */
const putsRight = (body: EntryBody): boolean =>
  body.kind === 'repair' ||
  (body.kind === 'setting' && body.from !== body.to) ||
  (body.kind === 'alteration-settled' && body.as === 'corrected')

/** What was said of the calls after the last thing that was put right; null where nothing was. */
export function proofsSinceRepair({
  entries,
  proofs,
}: Pick<VisitState, 'entries' | 'proofs'>): readonly ProofTaken[] | null {
  const lastRepair = entries.findLastIndex(({ body }) => putsRight(body))
  return lastRepair < 0 ? null : proofs.filter(({ entry }) => entries.indexOf(entry) > lastRepair)
}
