import type { Diagram } from '../diagram/diagram'
import type { Fault } from '../parts/effect'
import type { CauseGroup } from '../parts/causeGroup'
import { isHeatingCall } from '../parts/heatingCall'
import type { Look } from '../visit/evidence'
import { isInTheAir } from './inTheAir'
import type { Moment } from './moment'
import type { UnitModel } from './predictor'

export const isOfIce = ({ parts }: Diagram, { of, what }: Look): boolean =>
  what === 'iced' && parts.get(of)?.kind.icesWhen !== undefined

/**
 * Chance of ice on a unit that has a reason for it, and on one that has none: some had no time to make any,
 * and a night of frost is told for ice. Judgements.
 */
const iceChance = { withReason: 0.9, without: 0.06 } as const

/**
 * How likely ice is under a suspect. On the outdoor coil of a heat pump it stays where defrost fails, the
 * outdoor fan stands, or the charge is low; on what is cold in cooling it grows where the charge is low, or
 * too little air goes through, while the compressor runs.
 */
export function iceChances(model: UnitModel, { of }: Look, moment: Moment): (h: number) => number {
  const { diagram, hypotheses } = model
  const called = moment.situation.circuit.situation.call
  const isOutdoors = diagram.parts.get(of)?.kind.icesWhen === 'not-defrosted' && isHeatingCall(called)
  const running = moment.inCall(isOutdoors ? 'heat1' : 'cool1') ?? moment.situation
  const inDefrost = moment.inCall('defrost')
  const turning = [...running.motorsTurning()]
  const ofRooms = moment.inCall('fan')?.motorsTurning() ?? new Set(turning)
  const compressors = new Set(partsOf(diagram, 'compressor').filter((id) => turning.includes(id)))
  const outdoorFans = new Set(turning.filter((id) => !compressors.has(id) && !ofRooms.has(id)))
  // the heat that keeps a room warm meanwhile melts nothing
  const melting = new Set([...compressors, ...outdoorFans, ...partsOf(diagram, 'reversing-valve')])
  const isFrosted = (h: number): boolean =>
    running.standsOtherwise(h, outdoorFans) || (inDefrost?.standsOtherwise(h, melting) ?? false)
  const isStarvedOfAir = (h: number): boolean => isInTheAir(model, h) || running.standsOtherwise(h, ofRooms)
  const hasLittleCharge = (h: number): boolean =>
    hypotheses[h].faults.some(
      (fault) => diagram.parts.get(fault.of)?.kind.icesWhen === 'starved' || isTrippedByCold(fault),
    )
  return (h) => {
    if (hasLittleCharge(h)) return iceChance.withReason
    const isCold = !running.standsOtherwise(h, compressors)
    const freezes = isOutdoors ? isFrosted(h) : isStarvedOfAir(h)
    return freezes && isCold ? iceChance.withReason : iceChance.without
  }
}

const partsOf = ({ parts }: Diagram, cause: CauseGroup): readonly string[] =>
  [...parts.values()].flatMap(({ id, kind }) => (kind.cause === cause ? [id] : []))

/** A low pressure or a cold coil has opened it: the ice may be what did. */
const isTrippedByCold = ({ class: sort, when }: Fault): boolean =>
  sort === 'trip' && when?.below !== undefined
