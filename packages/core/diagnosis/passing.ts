import { partOfPoint } from '../diagram/diagram'
import type { Evidence } from '../visit/evidence'
import { isSameRun } from '../visit/standing'
import { atSamePart, betweenTwoLooks, waited } from './comesAndGoes'
import { leadsStay } from './leadsStay'
import type { Track } from './tracks'

/** What passes between two pieces of evidence: a wait, or nothing where both are of one part. */
export function passing(before: Evidence | undefined, piece: Evidence): (track: Track) => Track {
  const seconds = secondsBetween(before, piece)
  if (seconds > 0) return (track) => waited(track, seconds)
  if (piece.kind === 'reading' && leadsStay(before, piece)) return betweenTwoLooks
  const parts = before ? partsOf(before) : []
  return partsOf(piece).some((part) => parts.includes(part)) ? atSamePart : (track) => track
}

/** The parts that one stands at for a piece of evidence: of a reading, where its first lead is. */
function partsOf(piece: Evidence): readonly string[] {
  if (piece.kind === 'look') return [piece.of]
  return piece.kind === 'reading' ? [partOfPoint(piece.from)] : []
}

/** Seconds that were waited between two pieces of evidence, as far as they were said. */
function secondsBetween(before: Evidence | undefined, { standing }: Evidence): number {
  const { age } = standing
  if (age === null) return 0
  return before && isSameRun(before.standing, standing) ? age - (before.standing.age ?? 0) : age
}
