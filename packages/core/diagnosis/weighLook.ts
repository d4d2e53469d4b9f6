import { showsOpened } from '../parts/lookVocabulary'
import type { Look } from '../visit/evidence'
import { cycleAtFirst, inCycle, whetherThere } from './comesAndGoes'
import { lookLikelihood } from './likelihood'
import type { Met, Moment } from './moment'
import { notDrawnLook, orNotDrawn } from './notDrawn'
import { elsewhereOf, looksLike } from './otherSurroundings'
import type { UnitModel } from './predictor'
import { inSurroundings } from './trackInSurroundings'
import type { Track, Weigher } from './tracks'
import { valueWithin, type Whereabouts } from './withinRange'

/** How often a dead short that opens a small fuse trips a larger breaker before it as well. A judgement. */
const takenAlong = 0.06

/** How likely a look is at one version of a suspect, and in the states that it may be met in. */
function lookAt({ of, what }: Look, moment: Moment, isMetered: boolean) {
  const { situation } = moment
  const usual = what === 'code' ? situation.looks(0, of) : null
  const isOpened = showsOpened(what)
  const along = new Map<number, boolean>()
  const least = (h: number): number => {
    if (!isOpened) return 0
    const isAlong = along.get(h) ?? moment.mayOpenWith(h, of)
    along.set(h, isAlong)
    return isAlong ? takenAlong : 0
  }
  const seen = (version: number, atLeast: number): number =>
    Math.max(atLeast, lookLikelihood(what, shows(situation.looks(version, of), what, usual), isMetered))
  const chanceOf = (met: readonly Met[], atLeast: number): number =>
    met.reduce((sum, { versions, weight, where }) => {
      const chances = versions.map((version) => seen(version, atLeast))
      return sum + weight * meanOf(chances, where)
    }, 0)
  return { least, seen, chanceOf }
}

/** How likely a look is under a track; null where what is looked at may be otherwise the next time. */
export type SeenUnder = (h: number, track: Track) => number | null

export function seenUnder(look: Look, moment: Moment, isMetered: boolean): SeenUnder {
  const { least, seen, chanceOf } = lookAt(look, moment, isMetered)
  return (h, track) => {
    const met = moment.met(h, track.blown, 'any', track.where)
    if (met.some(({ recurs, startsOver }) => recurs || startsOver)) return null
    const atLeast = least(h)
    const chance = chanceOf(met, atLeast)
    const isSteady = track.present === null || seen(moment.away(h, track.blown), atLeast) === chance
    return isSteady ? chance : null
  }
}

/** What a look makes of a track; `isMetered`: leads were on terminals of what was looked at. */
export function lookWeigher(model: UnitModel, look: Look, moment: Moment, isMetered: boolean): Weigher {
  const { of, what, standing } = look
  const { situation } = moment
  const { least, seen, chanceOf } = lookAt(look, moment, isMetered)
  const isAsHealthy = looksLike(situation, of)(0)
  const elsewhere = elsewhereOf(model, standing, isAsHealthy, (k) => chanceOf(moment.met(k, 'not'), 0))
  const asKnown: Weigher = (h, track) => {
    const met = moment.met(h, track.blown, 'any', track.where)
    const atLeast = least(h)
    const around = isAsHealthy(h) ? elsewhere : null
    const under = (states: readonly Met[]) => ({ chance: chanceOf(states, atLeast) })
    const { chance, cycle, startsOver } = inCycle(track, met, under)
    if (track.present === null) return { ...inSurroundings(track, chance, around).track, cycle, startsOver }
    const away = seen(moment.away(h, track.blown), atLeast)
    const { own, present } = whetherThere(track.present, track.stays, chance, away)
    return {
      ...inSurroundings(track, own, around).track,
      present,
      stays: track.keeps,
      cycle: present > 0.5 ? cycle : cycleAtFirst,
    }
  }
  return orNotDrawn(model, asKnown, notDrawnLook(what))
}

/** A chance by version: of all alike, or of the two between which the fault has been found to lie. */
function meanOf(chances: readonly number[], where: Whereabouts | undefined): number {
  if (where && chances.length > 1) return valueWithin(chances, where).value
  return chances.reduce((sum, chance) => sum + chance, 0) / chances.length
}

/** Whether a look shows a word; a bare `code`: any other code than a healthy unit's. */
const shows = (seen: readonly string[], what: string, usual: readonly string[] | null): boolean =>
  usual ? seen.some((word) => word.startsWith('code ') && !usual.includes(word)) : seen.includes(what)
