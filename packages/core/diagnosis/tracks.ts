import type { Meter } from '../circuit/meters'
import { readingOf } from './grouping'
import { Factors, type FactorTerm } from './factors'
import {
  blunderChance,
  blunderDensity,
  densityBetween,
  electronicDensity,
  electronicFromOhms,
  goodDensity,
  ownVariance,
  type Sharing,
} from './likelihood'
import type { Blown, Met } from './moment'
import type { Around } from './otherSurroundings'
import type { Predictions } from './situationModel'
import type { Coarseness } from './typed'

/**
 * One account of how things stand under a hypothesis: whether its trips happened before anybody arrived, whether it comes
 * and goes, and what has been learned of the factors that readings share.
 */
export interface Track {
  readonly logWeight: number
  readonly factors: Factors
  readonly blown: Blown
  /** Chance that the fault is there just now; null: it does not come and go. */
  readonly present: number | null
  /** Chance that a fault which comes and goes stays as it is until the next entry. */
  readonly stays: number
  /** The calls have stood for longer than anybody said: every delay is over. */
  readonly late: boolean
  /** What is known of surroundings that nobody has measured; null: none tell on this unit. */
  readonly around: Around | null
}

/** What a piece of evidence makes of a hypothesis's track. */
export type Weigher = (h: number, track: Track) => Track

/** A reading as it is weighed. */
export interface Weighable {
  readonly meter: Meter
  readonly value: number | null
  readonly coarse: Coarseness
  readonly terms: readonly FactorTerm[]
  /**
   * Volts below which a short has collapsed what feeds it: a transformer far over its rating gives less than
   * its winding says.
   */
  readonly collapsedBelow: number
  /** Ohms into an electronic input: what a meter's small direct volts make of it says nothing firm. */
  readonly isElectronic: boolean
}

/** What a reading is predicted to be by version, and what tells how firmly. */
export interface Foretold {
  readonly values: Predictions
  /** By version, of volts: 1 where nothing firm feeds the two points; null of any other reading. */
  readonly floats: Uint8Array | null
  /** Density of the reading on a circuit that will not rest; null where it rests. */
  readonly moving: (version: number) => number | null
}

/** What a reading says under a track: how probable it is, and what the track has learned from it. */
export interface Told {
  readonly chance: number
  readonly factors: Factors
}

/**
 * Of readings on a supply that a short has collapsed, the share below what its winding says: core, heat,
 * protector.
 */
const nothingLeft = 0.4

/** A reading must be so much likelier good than a blunder before anything is learned from it. */
const learnsFrom = 1

/** How probable a reading is in a state, and the value that explains it best. */
interface Explained {
  readonly chance: number
  readonly predicted: number | null
  readonly good: number
}

/** The reading under one of several states, weighted; what explains it best teaches the factors. */
export function tell(reading: Weighable, factors: Factors, met: readonly Met[], foretold: Foretold): Told {
  const { mean, variance } = factors.expect(reading.terms)
  const sharing: Sharing = { ...reading.coarse, mean, variance }
  let chance = 0
  let best: Explained | null = null
  // the state that the reading speaks for; whether it is likelier a blunder is asked of that state alone
  let most = -Infinity
  for (const { versions, weight } of met) {
    const explained =
      versions.length === 1
        ? explainedByState(reading, versions[0], foretold, sharing)
        : explainedByRange(reading, versions, foretold, sharing)
    chance += weight * explained.chance
    if (weight * explained.good > most) {
      most = weight * explained.good
      best = explained
    }
  }
  return { chance, factors: best ? learned(reading, factors, best) : factors }
}

const blundered = ({ meter, value }: Weighable, predicted: number | null, sharing: Sharing): number =>
  blunderChance * blunderDensity(meter, value, predicted, sharing)

const isIntoElectronics = ({ isElectronic }: Weighable, ohms: readonly (number | null)[]): boolean =>
  isElectronic && ohms.every((each) => each !== null && each > electronicFromOhms)

function explainedByState(
  reading: Weighable,
  version: number,
  foretold: Foretold,
  sharing: Sharing,
): Explained {
  const { meter, value } = reading
  const predicted = readingOf(foretold.values[version])
  const exact = isIntoElectronics(reading, [predicted])
    ? electronicDensity(value)
    : goodDensity(meter, value, predicted, sharing)
  const loose =
    foretold.moving(version) ?? floating(reading, predicted, foretold.floats?.[version] === 1, sharing)
  const good = loose === null ? exact : (exact + loose) / 2
  return {
    chance: (1 - blunderChance) * good + blundered(reading, predicted, sharing),
    predicted: loose === null ? predicted : null,
    good,
  }
}

/**
 * A dead leg that stands between loads of many kilohms, an idle transformer and the inputs of a monitor, reads what those
 * of this very unit make of it: anything about the value that the drawing's give. Null where a point is fed firmly.
 */
const floating = (
  { meter, value }: Weighable,
  volts: number | null,
  floats: boolean,
  sharing: Sharing,
): number | null => (floats && volts !== null ? densityBetween(meter, value, 0, 2 * volts, sharing) : null)

/** Mean density of a reading that may lie anywhere between each two values in a row. */
const meanBetween = (
  { meter, value }: Weighable,
  values: readonly (number | null)[],
  sharing: Sharing,
): number =>
  values
    .slice(1)
    .reduce<number>((sum, next, k) => sum + densityBetween(meter, value, values[k], next, sharing), 0) /
  (values.length - 1)

function explainedByRange(
  reading: Weighable,
  versions: readonly number[],
  foretold: Foretold,
  sharing: Sharing,
): Explained {
  const { meter, value, collapsedBelow } = reading
  const values = versions.map((version) => readingOf(foretold.values[version]))
  const [dead] = values
  const range = isIntoElectronics(reading, values)
    ? electronicDensity(value)
    : meanBetween(reading, values, sharing)
  const hasCollapsed = dead !== null && dead > 0 && dead < collapsedBelow
  const steady = hasCollapsed
    ? (1 - nothingLeft) * range +
      (nothingLeft / 2) *
        (densityBetween(meter, value, 0, dead, sharing) + goodDensity(meter, value, 0, sharing))
    : range
  const loose = foretold.moving(versions[0])
  const good = loose === null ? steady : (steady + loose) / 2
  return {
    chance: (1 - blunderChance) * good + blundered(reading, dead, sharing),
    predicted: hasCollapsed || loose !== null ? null : middleOf(meter, values, sharing),
    good,
  }
}

/**
 * What all resistances of a fault predict alike, within a reading's own spread: it teaches the factors as any other
 * prediction does. Null where its resistance, which nobody knows, tells on this reading.
 */
function middleOf(meter: Meter, values: readonly (number | null)[], coarse: Coarseness): number | null {
  const known = values.filter((value) => value !== null)
  if (meter === 'ohms' || known.length < values.length) return null
  const [low, high] = [Math.min(...known), Math.max(...known)]
  const middle = (low + high) / 2
  return high - low < Math.sqrt(ownVariance(meter, middle, coarse)) ? middle : null
}

/** Factors after a reading; nothing is learned of a dead wire, nor from what is likelier a blunder. */
function learned({ meter, value, coarse, terms }: Weighable, factors: Factors, best: Explained): Factors {
  const { predicted, good, chance } = best
  if (meter === 'ohms' || terms.length === 0 || value === null || predicted === null) return factors
  const isBlunder = good < learnsFrom * (chance - (1 - blunderChance) * good)
  if (isBlunder || Math.abs(predicted) < 1e-3) return factors
  const after = factors.clone()
  after.learn(terms, predicted, value, ownVariance(meter, predicted, coarse))
  return after
}
