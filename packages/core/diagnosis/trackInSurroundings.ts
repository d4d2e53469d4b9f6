import { toldAround, type Elsewhere } from './otherSurroundings'
import type { Track } from './tracks'

/**
 * A track after evidence of this chance, and how far that is the suspect's own doing rather than the
 * weather's.
 */
export function inSurroundings(
  track: Track,
  chance: number,
  elsewhere: Elsewhere | null,
): { readonly track: Track; readonly own: number } {
  if (elsewhere === null || track.around === null)
    return { track: { ...track, logWeight: track.logWeight + Math.log(chance) }, own: 1 }
  const told = toldAround(chance, track.around, elsewhere)
  return {
    track: { ...track, around: told.around, logWeight: track.logWeight + Math.log(told.chance) },
    own: told.own,
  }
}
