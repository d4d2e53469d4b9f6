import type { Evidence } from '../visit/evidence'
import { isSameRun } from '../visit/standing'
import { isNothing } from './likelihood'

/**
 * Whether the leads of a reading are where they have just read something, and only the unit was made to run
 * otherwise since: they touch, and are on the points that are meant.
 */
export function leadsStay(
  before: Evidence | undefined,
  { meter, from, to, standing }: Extract<Evidence, { readonly kind: 'reading' }>,
): boolean {
  if (before?.kind !== 'reading' || before.meter !== meter || isNothing(meter, before.value)) return false
  const isThere = before.from === from && before.to === to
  return isThere && !isSameRun(before.standing, standing)
}
