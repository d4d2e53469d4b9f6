import { isOhms, rangeEnd, type Meter, type OhmsMeter } from '../circuit/meters'
import { toldBy, type ToldBy } from '../parts/lookVocabulary'
import { likelihood } from './likelihood'
import type { UnitModel } from './predictor'
import type { Track, Weigher } from './tracks'

/**
 * What may be read on a unit that differs from its drawing somewhere: mostly what it has by what is
 * known of it, else what a healthy one has, nothing where there should be something, or the other way round,
 * and now and then anything at all. Shares of each.
 */
const shares = { asKnown: 0.6, healthy: 0.1, otherway: 0.08, anything: 0.22 } as const

/** A look has few words: what one says otherwise is one of about so many. */
const otherWords = 3

/** What a jumper has, or two terminals that share a lead, with the leads of the meter, ohms. */
const joinedOhms = 0.5

/** What reads less than this reads nothing, volts. */
const deadBelow = 2

/** What a reading is told by where the unit is not as drawn. */
interface Otherwise {
  /** What a healthy unit reads there; NaN out of range. */
  readonly healthy: number
  /** What the hot side of control power has there, volts; NaN for a meter that it says nothing to. */
  readonly hot: number
  /** Density of the value where all that its two points can have between them is as likely. */
  readonly anything: number
}

/** Density of a reading that is of what nobody drew, times the share of such readings. */
export function notDrawnReading(
  meter: Meter,
  value: number | null,
  { healthy, hot, anything }: Otherwise,
): number {
  const any = isOhms(meter) ? anyOhms(meter, value) : Math.max(anything, beyond)
  const asHealthy = likelihood(meter, value, Number.isNaN(healthy) ? null : healthy)
  return shares.healthy * asHealthy + shares.otherway * otherway() + shares.anything * any

  function otherway(): number {
    if (isOhms(meter)) return (likelihood(meter, value, null) + likelihood(meter, value, joinedOhms)) / 2
    const isDead = Math.abs(healthy) < deadBelow && hot > deadBelow
    return likelihood(meter, value, isDead ? hot : 0)
  }
}

/** How a thing stands, or lights, is of what feeds it; a handle that is off, or a mark, is of itself. */
const ofWhatFeedsIt: readonly ToldBy[] = ['stands', 'heard', 'counted']

/** The same of the word of a look; none where what is seen is not of what feeds it. */
export const notDrawnLook = (what: string): number | null =>
  ofWhatFeedsIt.includes(toldBy(what)) ? (1 - shares.asKnown) / otherWords : null

/**
 * What a piece of evidence makes of tracks of a unit that may not be as drawn: it is of what is known of the
 * unit, as `asKnown` weighs it, or of what is not, of which it has the chance `otherwise`; null: it is not.
 */
export const orNotDrawn = (
  { hypotheses }: Pick<UnitModel, 'hypotheses'>,
  asKnown: Weigher,
  otherwise: number | null,
): Weigher =>
  otherwise === null
    ? asKnown
    : (h, track) => {
        const known = asKnown(h, track)
        return hypotheses[h].notDrawn ? eitherOf(track, known, otherwise) : known
      }

function eitherOf(track: Track, known: Track, otherwise: number): Track {
  const asKnown = shares.asKnown * Math.exp(known.logWeight - track.logWeight)
  const logWeight = track.logWeight + Math.log(asKnown + otherwise)
  // what is of something else teaches nothing of the rest
  return asKnown > otherwise ? { ...known, logWeight } : { ...track, logWeight }
}

/**
 * Density of more than the two points can have by the drawing, as a transformer of other volts gives; per
 * unit.
 */
const beyond = 0.05 / 600

/** Least ohms that are told from none. */
const leastOhms: Readonly<Record<OhmsMeter, number>> = { ohms: 0.1, megohms: 5000 }

const anyOhms = (meter: OhmsMeter, value: number | null): number =>
  value === null ? 0.3 : 0.7 / Math.log(rangeEnd[meter] / leastOhms[meter])
