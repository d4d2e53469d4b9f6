import { toldBy, type ToldBy } from '../parts/lookVocabulary'
import { hasSmallValues, isOhms, rangeEnd, type Meter, type OhmsMeter } from '../circuit/meters'
import { bell } from './bell'
import type { Expected } from './factors'
import { flameBehind, flameDensity } from './flameReading'
import { comparedSpread, ohmsCenter, ohmsSpread, onOhmsScale, type KnownLeads } from './ohmsScale'
import { insulationBehind, insulationBlunder, insulationDensity, leaksApart } from './insulation'
import type { Coarseness } from './typed'

/** Chance that a reading is a blunder: wrong terminal, wrong function, a lead that does not touch. */
export const blunderChance = 0.025
/**
 * Share of blunders that read nothing at all. Whoever reads nothing where he looks for something seats his
 * leads anew before he says so: what is left of it is rare. A judgement.
 */
const deadLeadShare = 0.04

/**
 * What a meter of high input resistance may show on a dead wire that runs beside live ones: some volts,
 * seldom many, and
 * none on a low-impedance one. By what a point is predicted to have it counts as dead.
 */
const phantom = { chance: 0.06, meanVolts: 4, mostVolts: 16, deadBelowVolts: 1 } as const

/** Functions whose readings spread evenly to both sides of what is predicted. */
type EvenMeter = Exclude<Meter, OhmsMeter>

interface Tolerance {
  /** Share of the predicted value: meter and model together, one standard deviation. */
  readonly share: number
  readonly floor: number
  /** Span over which a blunder may fall. */
  readonly span: number
}

/**
 * How far a good reading may lie from its prediction. Meter accuracies are those of common instruments; the
 * share also
 * covers the supply's drift and what the diagram cannot know of this unit.
 */
export const tolerances: Readonly<Record<EvenMeter, Tolerance>> = {
  volts: { share: 0.04, floor: 0.35, span: 500 },
  loz: { share: 0.04, floor: 0.35, span: 500 },
  dc: { share: 0.04, floor: 0.12, span: 30 },
  amps: { share: 0.08, floor: 0.08, span: 60 },
  millivolts: { share: 0.35, floor: 4, span: 2000 },
  // a flame flickers, and burns weaker or stronger from burner to burner
  microamps: { share: 0.4, floor: 0.1, span: 50 },
  // six per cent either way is what their makers promise
  microfarads: { share: 0.05, floor: 0.1, span: 60 },
}
/** Whether a meter shows nothing: no volts and no amps, or no way through. */
export function isNothing(meter: Meter, value: number | null): boolean {
  if (isOhms(meter) || value === null) return value === null
  return Math.abs(value) < tolerances[meter].floor
}

const ohmsSpan = Math.log(rangeEnd.ohms / 0.1)

/** One count of a display at a value: volts and ohms to a tenth, what is mostly small to a hundredth. */
export const displayStep = (meter: Meter, value: number): number => {
  if (hasSmallValues(meter)) return Math.abs(value) < 10 ? 0.01 : 0.1
  if (meter === 'megohms') return value < 10 ? 0.01 : 1
  if (meter === 'ohms') return value >= 1e6 ? 1e4 : value >= 1000 ? 10 : 0.1
  return 0.1
}

/** One standard deviation of a good reading about its prediction. */
export const spreadOf = (meter: EvenMeter, predicted: number): number => {
  const { share, floor } = tolerances[meter]
  const part = share * predicted
  return Math.sqrt(part * part + floor * floor)
}

/** What readings of a visit share with a prediction, and how coarsely this one was put down. */
export interface Sharing extends Coarseness, Expected {
  /** With ohms, of the leads of the meter. */
  readonly leads?: KnownLeads
}

/**
 * A share of the predicted value that is a reading's own, where what readings share is told apart from it.
 */
const ownShares: Readonly<Record<EvenMeter, number>> = {
  volts: 0.015,
  loz: 0.015,
  dc: 0.04,
  amps: 0.035,
  millivolts: 0.35,
  microamps: 0.4,
  microfarads: 0.05,
}

/**
 * A few volts that leak onto an open conductor depend on its length and the damp: more than half of them may
 * be missing.
 */
const faint = { belowVolts: 5, share: 0.8 } as const

/**
 * Variance of a reading that is its own: the meter, this place of this unit, and the digits that were left
 * out.
 */
export function ownVariance(meter: EvenMeter, predicted: number, coarse: Coarseness): number {
  const isFaint = meter === 'volts' && predicted < faint.belowVolts
  const part = (isFaint ? faint.share : ownShares[meter]) * predicted
  return part ** 2 + tolerances[meter].floor ** 2 + coarse.rounding ** 2 + coarse.nominal ** 2
}

/** Probability density of a reading, given what the circuit says it should be. `null` is OL. */
export function likelihood(
  meter: Meter,
  value: number | null,
  predicted: number | null,
  sharing?: Sharing,
): number {
  return (
    (1 - blunderChance) * goodDensity(meter, value, predicted, sharing) +
    blunderChance * blunderDensity(meter, value, predicted, sharing)
  )
}

/**
 * The same under the prediction that fits a reading best. Not every value is predicted by some circuit:
 * between a short and sound insulation, or a capacitor’s label and nothing, lies what no suspect names and
 * some explain.
 */
export const likelihoodAtBest = (meter: Meter, value: number | null): number =>
  likelihood(meter, value, predictedAtBest(meter, value))

function predictedAtBest(meter: Meter, value: number | null): number | null {
  if (meter === 'megohms') return insulationBehind(value)
  if (value === null) return null
  if (meter === 'microamps') return flameBehind(value)
  return meter === 'microfarads' ? 0 : value
}

/** The same of a reading that is no blunder. */
export function goodDensity(
  meter: Meter,
  value: number | null,
  predicted: number | null,
  sharing?: Sharing,
): number {
  if (meter === 'ohms') return ohmsDensity(value, predicted, sharing)
  if (meter === 'megohms') return insulationDensity(value, predicted)
  if (meter === 'microfarads' && predicted === 0) return lostCapacity(value)
  if (value === null || predicted === null) return value === predicted ? 1 : 0
  if (meter === 'microamps') return flameDensity(value, predicted)
  const center = sharing ? predicted * (1 + sharing.mean) : predicted
  const spread = sharing
    ? Math.sqrt(predicted * predicted * sharing.variance + ownVariance(meter, predicted, sharing))
    : spreadOf(meter, predicted)
  const exact = bell(value - center, spread)
  return mayPickUp(meter, predicted)
    ? (1 - phantom.chance) * exact + phantom.chance * phantomDensity(value)
    : exact
}

/** The same where what is predicted may lie anywhere between two values. */
export function densityBetween(
  meter: Meter,
  value: number | null,
  a: number | null,
  b: number | null,
  sharing: Sharing,
): number {
  if (meter === 'megohms' || value === null || a === null || b === null)
    return 0.5 * (goodDensity(meter, value, a, sharing) + goodDensity(meter, value, b, sharing))
  if (meter === 'ohms') {
    const [from, to] = [a, b].map((ohms) => ohmsCenter(ohms, sharing))
    return spreadEvenly(onOhmsScale(value), from, to, ohmsSpread(Math.max(a, b), sharing))
  }
  const scale = 1 + sharing.mean
  const most = Math.max(a, b)
  const spread = Math.sqrt(most * most * sharing.variance + ownVariance(meter, most, sharing))
  return spreadEvenly(value, a * scale, b * scale, spread)
}

/** Density at a value of something spread evenly between two ends, read with a normal error. */
function spreadEvenly(at: number, from: number, to: number, spread: number): number {
  const [low, high] = from < to ? [from, to] : [to, from]
  if (high - low < spread / 4) return bell(at - (low + high) / 2, spread)
  return (normalBelow((at - low) / spread) - normalBelow((at - high) / spread)) / (high - low)
}

/** Share of a normal distribution below a number of standard deviations (Abramowitz & Stegun 26.2.17). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const tail = (Math.exp(-z * z * 0.5) / Math.sqrt(2 * Math.PI)) * poly
  return z >= 0 ? 1 - tail : tail
}

/** Of blunders, the share that is a number typed wrong by ten. */
const slipShare = 0.25
/** Of the other blunders with ohms: nothing touched, or the leads touched each other. */
const openLeadsShare = 0.5
const touchingLeadsShare = 0.25

/** Probability density of a reading that is a blunder; `astray`: how much of what goes wrong may be. */
export function blunderDensity(
  meter: Meter,
  value: number | null,
  predicted: number | null,
  sharing: Sharing = exactly,
  astray = 1,
): number {
  if (meter === 'ohms') return ohmsBlunder(value, predicted)
  if (meter === 'megohms') return insulationBlunder(value)
  if (value === null || predicted === null) return 1
  const { floor, span } = tolerances[meter]
  const elsewhere = deadLeadShare * bell(value, floor) + (1 - deadLeadShare) / span
  const center = predicted * (1 + sharing.mean)
  // a number that lost its last digit comes back ten times as coarse
  const slipped = (factor: number): number =>
    factor * bell(value * factor - center, Math.hypot(spreadOf(meter, predicted), sharing.rounding * factor))
  if (predicted < 1) return astray * elsewhere
  return astray * ((1 - slipShare) * elsewhere + (slipShare / 2) * (slipped(10) + slipped(0.1)))
}

const exactly: Sharing = { mean: 0, variance: 0, rounding: 0, nominal: 0 }

function ohmsBlunder(value: number | null, predicted: number | null): number {
  if (value === null) return (1 - slipShare) * openLeadsShare
  const touching = bell(onOhmsScale(value), ohmsSpread(0))
  const elsewhere = touchingLeadsShare * touching + (1 - openLeadsShare - touchingLeadsShare) / ohmsSpan
  if (predicted === null) return (1 - slipShare) * elsewhere
  const slipped = (factor: number): number => ohmsDensity(value * factor, predicted)
  return (1 - slipShare) * elsewhere + (slipShare / 2) * (slipped(10) + slipped(0.1))
}

/** Of capacitors that are open or have lost their value, the share that has nothing left. */
const nothingLeftShare = 0.4

/** A capacitor that is called open may as well have lost a part of its value. Microfarads. */
function lostCapacity(value: number | null): number {
  if (value === null) return 0
  const { floor, span } = tolerances.microfarads
  const partLeft = value <= span ? 1 / span : 0
  return nothingLeftShare * bell(value, floor) + (1 - nothingLeftShare) * partLeft
}

const mayPickUp = (meter: Meter, predicted: number | null): boolean =>
  meter === 'volts' && predicted !== null && predicted < phantom.deadBelowVolts

/** Falls off exponentially, and ends. */
const phantomDensity = (volts: number): number =>
  volts < 0 || volts > phantom.mostVolts
    ? 0
    : Math.exp(-volts / phantom.meanVolts) /
      (phantom.meanVolts * (1 - Math.exp(-phantom.mostVolts / phantom.meanVolts)))

/** Whether a reading may be a phantom on what is predicted to be dead. */
export const mayBePhantom = (meter: Meter, value: number | null, predicted: number | null): boolean =>
  mayPickUp(meter, predicted) &&
  value !== null &&
  value > phantom.deadBelowVolts &&
  value <= phantom.mostVolts

/** Density of ohms on a logarithmic scale; chance of OL. */
function ohmsDensity(value: number | null, predicted: number | null, sharing?: Sharing): number {
  if (value === null || predicted === null) {
    // near the end of the range a display may say either
    const other = value ?? predicted
    const near = other !== null && other > rangeEnd.ohms / 4
    return value === predicted ? 1 : near ? 0.3 : 0
  }
  return bell(onOhmsScale(value) - ohmsCenter(predicted, sharing), ohmsSpread(predicted, sharing))
}

/** From so many ohms an input is taken for electronics, and not for a winding behind it. */
export const electronicFromOhms = 1000
/** How often such an input shows nothing at all. */
const electronicOpen = 0.4

/** Density of ohms into an electronic input, chance of OL: anything above the ohms of a winding. */
export const electronicDensity = (value: number | null): number =>
  value === null
    ? electronicOpen
    : value < electronicFromOhms
      ? 0
      : (1 - electronicOpen) / Math.log(rangeEnd.ohms / electronicFromOhms)

/** How readings are told apart: by their meter, or ohms by holding them against those of a load alike. */
export type ToldApart = Meter | 'compared ohms'

/** How far apart two predictions are, in standard deviations of a good reading. */
export function spreadsApart(how: ToldApart, a: number | null, b: number | null): number {
  // most predictions are the healthy one
  if (a === b) return 0
  if (how === 'megohms') return leaksApart(a, b)
  if (a === null || b === null) return Infinity
  if (how === 'ohms')
    return Math.abs(onOhmsScale(a) - onOhmsScale(b)) / Math.max(ohmsSpread(a), ohmsSpread(b))
  if (how === 'compared ohms')
    return Math.abs(onOhmsScale(a) - onOhmsScale(b)) / Math.max(comparedSpread(a), comparedSpread(b))
  return Math.abs(a - b) / Math.min(spreadOf(how, a), spreadOf(how, b))
}

/**
 * Whether two predictions give readings that a person can tell apart: taken for the other fewer than seven
 * times in a hundred.
 */
export const distinct = (how: ToldApart, a: number | null, b: number | null): boolean =>
  spreadsApart(how, a, b) > 3

/** Chance of seeing what is there, and of seeing what is not, by how it is told. */
const lookChance: Readonly<Record<ToldBy, { readonly hit: number; readonly falseAlarm: number }>> = {
  // one look in eighty is at another handle, and of those one in five hundred is off
  handle: { hit: 0.99, falseAlarm: 0.000025 },
  plainly: { hit: 0.99, falseAlarm: 0.0005 },
  // one in eighty is another relay, or the sun in the lamp
  stands: { hit: 0.97, falseAlarm: 0.012 },
  // a hum may be missed in the noise of a roof, and nobody hears one that is not there
  heard: { hit: 0.85, falseAlarm: 0.005 },
  // nobody says that it turns against its arrow who has not held it against that
  watched: { hit: 0.9, falseAlarm: 0.001 },
  // counted wrong it is one of several others, or none that the table has
  counted: { hit: 0.93, falseAlarm: 0.01 },
  closely: { hit: 0.95, falseAlarm: 0.03 },
}

/** Of looks at how a thing stands that were wrong, the share that was at another thing. */
const atAnother = 5 / 6

/**
 * Chance of a word being said of a look that shows it, or does not. Whoever has had leads on the part's
 * own terminals (`isMetered`) has the right one before them.
 */
export function lookLikelihood(what: string, isShown: boolean, isMetered = false): number {
  const by = toldBy(what)
  const { hit, falseAlarm } = lookChance[by]
  if (isShown) return hit
  return isMetered && by === 'stands' ? (1 - atAnother) * falseAlarm : falseAlarm
}
