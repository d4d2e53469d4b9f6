import type { Evidence, Findings } from '../visit/evidence'
import type { Track } from './tracks'

/**
 * Chance that a fault which may come and go does: as a rule, where something was moved or logged to find out, and
 * where that is what the unit is said to do.
 */
const changing = { usual: 0.08, lookedFor: 0.5, complained: 0.9 } as const

/** How likely what may come and go does, by what speaks for it. */
export const changingShare = (evidence: readonly Evidence[], { complaint }: Findings): number => {
  if (complaint === 'comes-and-goes') return changing.complained
  const isLookedFor = evidence.some(({ kind }) => kind === 'drop-out' || kind === 'touched')
  return isLookedFor ? changing.lookedFor : changing.usual
}

/**
 * A fault that comes and goes: how likely it is there at first, stays as it is from one entry to the next, and is
 * there after its part was touched. What is read while another part is moved is read within moments of that: it
 * would be a coincidence that this one changed just then.
 */
export const presentAtFirst = 0.6
export const stays = 0.88
const staysMeanwhile = 0.97
const presentWhenTouched = 0.35

/**
 * Evidence on a fault that comes and goes: its chance, and how likely the fault was there when it was taken.
 */
export function whetherThere(
  before: number,
  keeps: number,
  there: number,
  away: number,
): { readonly own: number; readonly present: number } {
  const now = before * keeps + (1 - before) * (1 - keeps)
  const own = now * there + (1 - now) * away
  return { own, present: (now * there) / own }
}

/** A track after a part was moved, its own or another. */
export function touched(track: Track, isItsPart: boolean): Track {
  if (track.present === null) return track
  return { ...track, present: isItsPart ? presentWhenTouched : track.present, stays: staysMeanwhile }
}
