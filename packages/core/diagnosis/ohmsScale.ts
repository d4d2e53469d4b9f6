import type { Expected } from './factors'
import type { Coarseness } from './typed'

/**
 * Ohms are judged on a logarithmic scale, above what leads, clips and the touch of a chafed wire add: a share
 * of many ohms and a part of an ohm of few go as far on it.
 */
const floorOhms = 1

export const onOhmsScale = (ohms: number): number => Math.log(ohms + floorOhms)
export const fromOhmsScale = (at: number): number => Math.exp(at) - floorOhms

/** How far the whole of so many ohms goes on that scale, by its slope there, and how far one ohm. */
export const perShare = (ohms: number): number => ohms / (ohms + floorOhms)
export const perOhm = (ohms: number): number => 1 / (ohms + floorOhms)

/**
 * What is known of the ohms of a load before any are read: the drawing has them from its plate, and makes
 * differ. Share, one standard deviation.
 */
export const ohmsShare = 0.25
/** What the leads of a meter add to every reading, unless they were zeroed. Ohms, one standard deviation. */
export const leadsOhms = 0.2
/** What a reading has of its own: the touch of its tips in ohms, the meter and warm copper as a share. */
const own = { ohms: 0.12, share: 0.06 } as const

/** What is known of what a reading of ohms shares with others, and how coarsely it was put down. */
export interface KnownOhms extends Expected, Pick<Coarseness, 'rounding'> {
  /** Of the leads of the meter; nothing yet where it is left out. */
  readonly leads?: KnownLeads
}

/** What is known of the leads of the meter, ohms; `withLoad` is its covariance with the share of the load. */
export interface KnownLeads extends Expected {
  readonly withLoad: number
}

const unreadLeads: KnownLeads = { mean: 0, variance: leadsOhms ** 2, withLoad: 0 }
export const unreadShare: Expected = { mean: 0, variance: ohmsShare ** 2 }
const unreadOhms: KnownOhms = { ...unreadShare, rounding: 0 }

/** Variance on the scale of what a reading of so many ohms has of its own. */
export const ownOhmsVariance = (ohms: number, rounding: number): number =>
  (perOhm(ohms) * Math.hypot(own.ohms, rounding)) ** 2 + (perShare(ohms) * own.share) ** 2

/** How far a reading is off on the scale by what it shares with others. */
const sharedOff = (ohms: number, { mean, leads = unreadLeads }: KnownOhms): number =>
  perShare(ohms) * mean + perOhm(ohms) * leads.mean

/** Where a reading of ohms of the drawing lies on the scale. */
export const ohmsCenter = (ohms: number, known: KnownOhms = unreadOhms): number =>
  onOhmsScale(ohms) + sharedOff(ohms, known)

/** One standard deviation of a good reading about that. */
export function ohmsSpread(ohms: number, known: KnownOhms = unreadOhms): number {
  const { variance, rounding, leads = unreadLeads } = known
  const [share, ohm] = [perShare(ohms), perOhm(ohms)]
  const shared = share ** 2 * variance + ohm ** 2 * leads.variance + 2 * share * ohm * leads.withLoad
  return Math.sqrt(shared + ownOhmsVariance(ohms, rounding))
}

/** Place on the scale of the ohms of the drawing behind a reading at a place on it. */
export const ohmsAsDrawn = (at: number, known: KnownOhms): number => at - sharedOff(fromOhmsScale(at), known)

/** One standard deviation of a reading that is held against two others which should be alike. */
export const comparedSpread = (ohms: number): number => Math.sqrt(1.5 * ownOhmsVariance(ohms, 0))
