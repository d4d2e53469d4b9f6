import type { VisitState } from './visitState'

/**
 * Whether something was repaired last, and neither proven nor read after: the unit is run before more is
 * looked for.
 */
export function awaitsProof({ entries }: VisitState): boolean {
  const repaired = entries.findLastIndex(({ body }) => body.kind === 'repair')
  const since = entries.slice(repaired + 1)
  return repaired >= 0 && !since.some(({ body }) => body.kind === 'proof' || body.kind === 'reading')
}
