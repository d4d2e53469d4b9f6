import type { Evidence, Look } from '../visit/evidence'
import { putBackBetween, type Standing } from '../visit/standing'
import type { Moment } from './moment'
import type { Weigher } from './tracks'
import { seenUnder, type SeenUnder } from './weighLook'

/** Whether a look said the same of the same part, with nothing mended or put back in between. */
const saysTheSame = (piece: Evidence, look: Look): piece is Look =>
  piece.kind === 'look' &&
  piece.of === look.of &&
  piece.what === look.what &&
  piece.standing.repairs === look.standing.repairs &&
  !putBackBetween(piece.standing, look.standing, look.of)

/**
 * How likely a look was each time that it said the same before; none of other evidence. `metered`: parts
 * that were looked at and had leads on their terminals.
 */
export function seenBefore(
  evidence: readonly Evidence[],
  e: number,
  metered: readonly string[],
  momentOf: (standing: Standing) => Moment,
): readonly SeenUnder[] {
  const look = evidence[e]
  if (look.kind !== 'look') return []
  const isMetered = metered.includes(look.of)
  return evidence
    .slice(0, e)
    .filter((piece) => saysTheSame(piece, look))
    .map((piece) => seenUnder(piece, momentOf(piece.standing), isMetered))
}

/** Chances that differ by less are of the same look. */
const alike = 1e-9

/**
 * The same look repeated counts once: an eye that took one thing for another does so again. Where a suspect
 * has it that the part looks otherwise by now, in another call or with something joined, it is news.
 */
export const countedOnce =
  (weigher: Weigher, now: SeenUnder, before: readonly SeenUnder[]): Weigher =>
  (h, track) => {
    if (before.length === 0) return weigher(h, track)
    const chance = now(h, track)
    const isKnown =
      chance !== null &&
      before.some((then) => {
        const said = then(h, track)
        return said !== null && Math.abs(said - chance) < alike
      })
    return isKnown ? track : weigher(h, track)
  }
