import { isAcVolts, isDead, isOhms } from '../circuit/meters'
import { partOfPoint } from '../diagram/diagram'
import { boardHot } from '../diagram/roles'
import { wiresAt } from '../diagram/wireAt'
import type { Evidence } from '../visit/evidence'
import { cycleAtFirst, inCycle, whetherThere } from './comesAndGoes'
import type { Moving, Weighable } from './explained'
import { Factors } from './factors'
import { spreadsApart } from './likelihood'
import { metBy, type Met, type Moment } from './moment'
import { notDrawnReading, orNotDrawn } from './notDrawn'
import { elsewhereOf, readsLike } from './otherSurroundings'
import type { UnitModel } from './predictor'
import { factorsOf } from './scaling'
import type { SituationModel } from './situationModel'
import { inSurroundings } from './trackInSurroundings'
import { tell } from './tell'
import type { Track, Weigher } from './tracks'
import { coarsenessOf } from './typed'

type Reading = Extract<Evidence, { readonly kind: 'reading' }>

/** Share of its healthy volts below which a supply that is shorted has collapsed. */
const collapsedShare = 0.5

/** Spreads of a good reading within which the states of a circuit that will not rest read alike. */
const standsStillWithin = 0.5

/** What the rest of the evidence says of a reading. */
export interface Beside {
  /** How much of what goes wrong it may be. */
  readonly astray: number
  /** The same was read otherwise in the same run. */
  readonly isContradicted: boolean
}

/** What a reading makes of a track. */
export function readingWeigher(
  model: UnitModel,
  piece: Reading,
  moment: Moment,
  { astray, isContradicted }: Beside,
): Weigher {
  const { meter, from, to, value, typed } = piece
  const { situation } = moment
  const healthy = situation.predict(meter, from, to, [0])[0]
  const reading: Weighable = {
    meter,
    value,
    coarse: coarsenessOf(meter, value, typed),
    astray,
    terms: factorsOf(model.diagram, meter, from, to),
    isElectronic: meter === 'ohms' && isIntoElectronics(model, from, to),
    collapsedBelow: isAcVolts(meter) ? collapsedShare * healthy : 0,
  }
  const leadOff = isOhms(meter) ? withLeadOff(model, situation, from, to) : null
  const density = movingDensity(piece, situation)
  const moving = (version: number): Moving | null => {
    // with the power off nothing moves
    const values = isDead(meter) ? [] : situation.predictInCycle(meter, from, to, version)
    const moves = values.some((each) => spreadsApart(meter, each, values[0]) > standsStillWithin)
    return moves ? { values, density } : null
  }
  const under = (met: readonly Met[], track: Pick<Track, 'factors' | 'where'>) => {
    const versions = met.flatMap((state) => state.versions)
    const values = situation.predict(meter, from, to, versions)
    const floats = meter === 'volts' ? situation.floats(from, to) : null
    const told = tell(reading, track, met, { values, floats, moving })
    if (!leadOff) return told
    const alone = { values: leadOff.predict(meter, from, to, versions), floats, moving }
    const { chance } = tell(reading, track, met, alone)
    const share = readOutShare(model, from)
    return { ...told, chance: (1 - share) * told.chance + share * chance }
  }
  const isAsHealthy = readsLike(situation, piece)(0)
  const elsewhere = elsewhereOf(
    model,
    piece.standing,
    isAsHealthy,
    (k) => under(moment.met(k, 'not'), { factors: new Factors(), where: null }).chance,
  )
  const asKnown: Weigher = (h, track) => {
    const met = moment.met(h, track.blown, metBy(meter), track.where)
    const { told, chance, cycle, startsOver } = inCycle(track, met, (states) => under(states, track))
    if (track.present === null) {
      const { own, track: after } = inSurroundings(track, chance, isAsHealthy(h) ? elsewhere : null)
      // what the weather explains teaches nothing of the supply
      const { factors, where } = own > 0.5 ? told : track
      return { ...after, factors, where, cycle, startsOver }
    }
    const away = under([{ versions: [moment.away(h, track.blown)], weight: 1 }], track)
    const { own, present } = whetherThere(track.present, track.stays, chance, away.chance)
    return {
      ...inSurroundings(track, own, isAsHealthy(h) ? elsewhere : null).track,
      factors: present > 0.5 ? told.factors : away.factors,
      where: present > 0.5 ? told.where : track.where,
      present,
      stays: track.keeps,
      cycle: present > 0.5 ? cycle : cycleAtFirst,
    }
  }
  const hot = isAcVolts(meter) ? hotAt(model, situation, to) : NaN
  const otherwise = notDrawnReading(meter, value, { healthy, hot, anything: density })
  return orNotDrawn(model, asKnown, isContradicted ? null : otherwise)
}

/** What the hot side of control power has to a point on a healthy unit, volts. */
function hotAt({ diagram }: UnitModel, situation: SituationModel, to: string): number {
  const hot = boardHot(diagram)
  return hot === null ? NaN : situation.predict('volts', hot, to, [0])[0]
}

const isIntoElectronics = ({ diagram }: UnitModel, from: string, to: string): boolean => {
  const id = partOfPoint(from)
  return partOfPoint(to) === id && diagram.parts.get(id)?.kind.symbol === 'control'
}

/**
 * How often a lead was off while the ohms of a part were taken, or the part was out, and nobody said so. A
 * judgement.
 */
const aloneShare = { leadOff: 0.25, out: 0.6 } as const

const readOutShare = ({ diagram }: UnitModel, from: string): number =>
  diagram.parts.get(partOfPoint(from))?.kind.comesOut ? aloneShare.out : aloneShare.leadOff

/**
 * The same situation with a lead of the part off whose own ohms are taken; null where they are of no one
 * part.
 */
function withLeadOff(
  { diagram }: UnitModel,
  situation: SituationModel,
  from: string,
  to: string,
): SituationModel | null {
  const part = diagram.parts.get(partOfPoint(from))
  if (!part || part.kind.symbol === 'terminal' || partOfPoint(to) !== part.id) return null
  const leads = wiresAt(diagram, from)
  return situation.with(leads.map(({ id }) => ({ does: 'open', branch: id })))
}

/** Where nothing bounds what a moving reading may be. */
const elsewhereDensity = 0.02
/**
 * Density of a reading on a circuit that will not rest, per unit of its meter: volts may be anything that its
 * two points can have between them.
 */
function movingDensity({ meter, from, to, value }: Reading, situation: SituationModel): number {
  if (meter !== 'volts' && meter !== 'loz' && meter !== 'millivolts') return elsewhereDensity
  const volts = [from, to].reduce(
    (sum, point) => sum + (point === 'EARTH' ? 0 : situation.predict('volts', point, 'EARTH', [0])[0]),
    1,
  )
  const most = 1.2 * volts * (meter === 'millivolts' ? 1000 : 1)
  return value !== null && value <= most ? 1 / most : 0
}
