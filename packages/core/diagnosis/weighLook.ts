import type { Evidence } from '../visit/evidence'
import { inCycle, stays, whetherThere } from './comesAndGoes'
import { lookLikelihood } from './likelihood'
import type { Met, Moment } from './moment'
import { elsewhereOf, looksLike } from './otherSurroundings'
import type { UnitModel } from './predictor'
import { inSurroundings } from './trackInSurroundings'
import type { Weigher } from './tracks'

/** What a look makes of a track; `isMetered`: leads were on terminals of what was looked at. */
export function lookWeigher(
  model: UnitModel,
  { of, what, standing }: Extract<Evidence, { kind: 'look' }>,
  moment: Moment,
  homeCall: string,
  isMetered: boolean,
): Weigher {
  const { situation } = moment
  const usual = what === 'code' ? situation.looks(0, of) : null
  const seen = (versions: readonly number[]): number =>
    versions.reduce(
      (sum, version) =>
        sum + lookLikelihood(what, shows(situation.looks(version, of), what, usual), isMetered),
      0,
    ) / versions.length
  const chanceOf = (met: readonly Met[]): number =>
    met.reduce((sum, { versions, weight }) => sum + weight * seen(versions), 0)
  const isAsHealthy = looksLike(situation, of)(0)
  const elsewhere = elsewhereOf(model, standing, homeCall, isAsHealthy, (k) => chanceOf(moment.met(k, 'not')))
  return (h, track) => {
    const met = moment.met(h, track.blown)
    const around = isAsHealthy(h) ? elsewhere : null
    if (track.present === null) {
      const { chance, cycle } = inCycle(track, met, (states) => ({ chance: chanceOf(states) }))
      return { ...inSurroundings(track, chance, around).track, cycle }
    }
    const there = chanceOf(met)
    const away = seen([moment.away(h, track.blown)])
    const { own, present } = whetherThere(track.present, track.stays, there, away)
    return { ...inSurroundings(track, own, around).track, present, stays }
  }
}

/** Whether a look shows a word; a bare `code`: any other code than a healthy unit's. */
const shows = (seen: readonly string[], what: string, usual: readonly string[] | null): boolean =>
  usual ? seen.some((word) => word.startsWith('code ') && !usual.includes(word)) : seen.includes(what)
