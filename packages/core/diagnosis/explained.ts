import { isOhms, type Meter } from '../circuit/meters'
import type { FactorTerm } from './factors'
import { readingOf } from './grouping'
import {
  blunderChance,
  blunderDensity,
  densityBetween,
  electronicDensity,
  electronicFromOhms,
  goodDensity,
  type Sharing,
} from './likelihood'
import { fromOhmsScale } from './ohmsScale'
import type { Predictions } from './situationModel'
import type { Coarseness } from './typed'
import { onScale } from './withinRange'

/** A reading as it is weighed. */
export interface Weighable {
  readonly meter: Meter
  readonly value: number | null
  readonly coarse: Coarseness
  /** How much of what goes wrong it may be; 1 where nothing speaks against that. */
  readonly astray: number
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
  /** How the reading moves on a circuit that will not rest; null where it stands still all the same. */
  readonly moving: (version: number) => Moving | null
}

/** A reading between two points at which a circuit that will not rest does not rest. */
export interface Moving {
  /** What it is in each of the states that the circuit goes through. */
  readonly values: readonly (number | null)[]
  /** Density of anything at all: a contact that buzzes is in no state for long. */
  readonly density: number
}

/**
 * Of readings on a supply that a short has collapsed, the share below what its winding says: core, heat,
 * protector, and the ohms of leads and splices that nobody knows. Some of it reads nothing at all.
 */
const collapsed = { below: 0.5, nothing: 0.2 } as const

/** How probable a reading is in a state, and the value that explains it best. */
export interface Explained {
  readonly chance: number
  /** Null where nothing is learned from it. */
  readonly predicted: Predicted | null
  readonly good: number
}

/** A value by the drawing, and its variance where a state leaves it open; of ohms that of their scale. */
export interface Predicted {
  readonly value: number
  readonly variance: number
}

const exactly = (value: number | null): Predicted | null => (value === null ? null : { value, variance: 0 })

export const blundered = (
  { meter, value, astray }: Weighable,
  predicted: number | null,
  sharing: Sharing,
): number => blunderChance * blunderDensity(meter, value, predicted, sharing, astray)

export const isIntoElectronics = ({ isElectronic }: Weighable, ohms: readonly (number | null)[]): boolean =>
  isElectronic && ohms.every((each) => each !== null && each > electronicFromOhms)

/** `isOfRange`: the state is that of a fault whose ohms nobody knows. */
export function explainedByState(
  reading: Weighable,
  version: number,
  foretold: Foretold,
  sharing: Sharing,
  isOfRange: boolean,
): Explained {
  const { meter, value } = reading
  const predicted = readingOf(foretold.values[version])
  const chanceOf = (good: number): number =>
    (1 - blunderChance) * good + blundered(reading, predicted, sharing)
  const moving = foretold.moving(version)
  if (moving) {
    const explained = explainedMoving(reading, moving, sharing)
    return { ...explained, chance: chanceOf(explained.good) }
  }
  const exact = isIntoElectronics(reading, [predicted])
    ? electronicDensity(value)
    : goodDensity(meter, value, predicted, sharing)
  const isDragged = isOfRange && hasCollapsed(reading, predicted)
  const isLoose = foretold.floats?.[version] === 1 || isDragged
  const loose = isLoose ? aboutSo(reading, predicted, sharing) : null
  const good = loose === null ? exact : (exact + loose) / 2
  return { chance: chanceOf(good), predicted: loose === null ? exactly(predicted) : null, good }
}

/**
 * A dead leg that stands between loads of many kilohms, an idle transformer and the inputs of a monitor,
 * reads what those of this very unit make of it, and a supply that is dragged down what ohms of leads and
 * splices leave of it: anything about the value that the drawing's give.
 */
const aboutSo = ({ meter, value }: Weighable, volts: number | null, sharing: Sharing): number | null =>
  volts === null ? null : densityBetween(meter, value, 0, 2 * volts, sharing)

/** How readings on a circuit that will not rest fall: in one of its states, between them, anywhere. */
const movingShares = { inAState: 0.5, between: 0.4, anywhere: 0.1 } as const

/**
 * A reading on a circuit that will not rest; what it teaches is of the state that it was most likely taken
 * in.
 */
function explainedMoving(
  reading: Weighable,
  moving: Moving,
  sharing: Sharing,
): Pick<Explained, 'good' | 'predicted'> {
  const { meter, value } = reading
  const densities = moving.values.map((each) => goodDensity(meter, value, each, sharing))
  const inAState = movingShares.inAState * mean(densities)
  const elsewhere = densityInMotion(reading, moving, sharing)
  const likeliest = densities.indexOf(Math.max(...densities))
  return {
    good: inAState + elsewhere,
    predicted: inAState > elsewhere ? exactly(moving.values[likeliest]) : null,
  }
}

/** Its density while none of the states stands long enough to be read. */
function densityInMotion({ meter, value }: Weighable, moving: Moving, sharing: Sharing): number {
  const [low, high] = endsOf(moving.values)
  return (
    movingShares.between * densityBetween(meter, value, low, high, sharing) +
    movingShares.anywhere * moving.density
  )
}

const endsOf = (values: readonly (number | null)[]): readonly [number, number] => {
  const known = values.filter((value) => value !== null)
  return [Math.min(...known), Math.max(...known)]
}

const mean = (densities: readonly number[]): number =>
  densities.reduce((sum, each) => sum + each, 0) / densities.length

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

export function explainedByRange(
  reading: Weighable,
  versions: readonly number[],
  foretold: Foretold,
  sharing: Sharing,
): Explained {
  const { meter } = reading
  const values = versions.map((version) => readingOf(foretold.values[version]))
  const moving = versions.map(foretold.moving)
  const motions = moving.filter((each) => each !== null)
  // a unit that starts over and over is met as far down as it goes, or as far up
  const ends = moving.map((each, k) => (each ? endsOf(each.values) : ([values[k], values[k]] as const)))
  const met = (end: 0 | 1): number =>
    densityResting(
      reading,
      ends.map((both) => both[end]),
      sharing,
    )
  const inAState = motions.length === 0 ? met(0) : (met(0) + met(1)) / 2
  const inMotion = motions.reduce((sum, each) => sum + densityInMotion(reading, each, sharing), 0)
  const moved = (motions.length / versions.length) * (1 - movingShares.inAState)
  const good = (1 - moved) * inAState + inMotion / versions.length
  const [dead] = values
  return {
    chance: (1 - blunderChance) * good + blundered(reading, dead, sharing),
    predicted: motions.length > 0 || hasCollapsed(reading, dead) ? null : middleOf(meter, values),
    good,
  }
}

const hasCollapsed = ({ collapsedBelow }: Weighable, dead: number | null): boolean =>
  dead !== null && dead > 0 && dead < collapsedBelow

/** A reading under a fault of any ohms between those that give these values, on a circuit that rests. */
function densityResting(reading: Weighable, values: readonly (number | null)[], sharing: Sharing): number {
  const { meter, value } = reading
  if (isIntoElectronics(reading, values)) return electronicDensity(value)
  const [dead] = values
  const range = meanBetween(reading, values, sharing)
  return hasCollapsed(reading, dead)
    ? (1 - collapsed.below - collapsed.nothing) * range +
        collapsed.below * densityBetween(meter, value, 0, dead, sharing) +
        collapsed.nothing * goodDensity(meter, value, 0, sharing)
    : range
}

/**
 * What all resistances of a fault predict together: the middle, and the variance of something spread evenly
 * between its ends. It teaches the factors the less, the more its resistance, which nobody knows, tells.
 */
function middleOf(meter: Meter, values: readonly (number | null)[]): Predicted | null {
  const scaled = onScale(meter, values)
  if (scaled === null) return null
  const [low, high] = endsOf(scaled)
  const middle = (low + high) / 2
  return { value: isOhms(meter) ? fromOhmsScale(middle) : middle, variance: (high - low) ** 2 / 12 }
}
