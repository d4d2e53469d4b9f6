import type { Blown } from './moment'
import { sumOfLogs, type Carrier, type Track, type Weigher } from './tracks'

/**
 * A track keeps at least so much of its weight when it is told that something has tripped by now: the reading
 * may be wrong.
 */
const keptAtLeast = 1e-3

/**
 * Weighs a piece of evidence, and remembers what it tells of things that have tripped meanwhile. A track that
 * had tripped nothing has it that `share` of the states it may be met in are tripped ones: so far as the
 * evidence speaks for those, its weight goes over to the track that has them tripped, and stays so, whichever
 * call is set next. How probable the evidence is, is the same with it and without.
 */
export const openedMeanwhile =
  (weigh: Weigher, share: (h: number, blown: Blown) => number): Carrier =>
  (h, tracks) => {
    let all: readonly Track[] = []
    for (const track of tracks) {
      const weighed = weigh(h, track)
      const shareNow = isYetToOpen(track) ? share(h, track.blown) : 0
      if (shareNow === 0 || weighed.logWeight === -Infinity) {
        all = added(all, weighed)
        continue
      }
      const most = weighed.logWeight + Math.log((1 - keptAtLeast) / track.opens.length)
      const opened = track.opens.map((blown): Track => {
        const asOpened = weigh(h, { ...track, blown, opens: [] })
        const own = asOpened.logWeight + Math.log((shareNow * (track.present ?? 1)) / track.opens.length)
        return { ...asOpened, logWeight: Math.min(own, most) }
      })
      const left = 1 - Math.exp(sumOfLogs(opened) - weighed.logWeight)
      all = [{ ...weighed, logWeight: weighed.logWeight + Math.log(left) }, ...opened].reduce(added, all)
    }
    return all
  }

const isYetToOpen = ({ opens }: Track): boolean => opens.length > 0

/** The tracks with one more; it joins the one that has the same account, which learns from the heavier. */
function added(tracks: readonly Track[], more: Track): readonly Track[] {
  const isSame = ({ blown, late, present }: Track): boolean =>
    blown === more.blown && late === more.late && (present === null) === (more.present === null)
  if (!tracks.some(isSame)) return [...tracks, more]
  return tracks.map((track) => {
    if (!isSame(track)) return track
    const heavier = track.logWeight > more.logWeight ? track : more
    return { ...heavier, logWeight: sumOfLogs([track, more]) }
  })
}
