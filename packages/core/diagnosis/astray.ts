import { isAcVolts } from '../circuit/meters'
import type { Evidence } from '../visit/evidence'
import { isSameRun } from '../visit/standing'
import { leadsStay } from './leadsStay'
import { isNothing } from './likelihood'

type Reading = Extract<Evidence, { readonly kind: 'reading' }>

/**
 * Of what goes wrong with a reading, the share that is left: where the leads have just read something between
 * the same two points, so that they touch, and who types another number has seen it change; and of nothing
 * between two points, from each of which to another something was read in the same run, so that who read
 * nothing there was there again. Judgements.
 */
const left = { stayed: 0.1, thereAgain: 0.3 } as const

/** How much of what goes wrong may be in a piece of evidence: 1, or what is left of it. */
export function astrayShare(evidence: readonly Evidence[], e: number): number {
  const piece = evidence[e]
  if (piece.kind !== 'reading') return 1
  if (leadsStay(evidence[e - 1], piece)) return left.stayed
  return isAcVolts(piece.meter) && isNothing(piece.meter, piece.value) && isThereAgain(evidence, piece)
    ? left.thereAgain
    : 1
}

/**
 * Whether the same was read between the same two points in the same run, and one of the two read nothing: one
 * of them is wrong, or something comes and goes, and neither is of what nobody drew.
 */
export function isContradicted(evidence: readonly Evidence[], e: number): boolean {
  const piece = evidence[e]
  if (piece.kind !== 'reading') return false
  return evidence.some(
    (other) =>
      other.kind === 'reading' &&
      isSameTwo(other, piece) &&
      isSameRun(other.standing, piece.standing) &&
      isNothing(other.meter, other.value) !== isNothing(piece.meter, piece.value),
  )
}

const isSameTwo = (a: Reading, b: Reading): boolean =>
  a.meter === b.meter && a.from === b.from && a.to === b.to

function isThereAgain(evidence: readonly Evidence[], { from, to, standing }: Reading): boolean {
  const live = evidence.flatMap((other) => {
    if (other.kind !== 'reading' || !isAcVolts(other.meter) || isNothing(other.meter, other.value)) return []
    const ends = [other.from, other.to]
    const isElsewhere = !ends.includes(from) || !ends.includes(to)
    return isElsewhere && isSameRun(other.standing, standing) ? ends : []
  })
  return [from, to].every((point) => live.includes(point))
}
