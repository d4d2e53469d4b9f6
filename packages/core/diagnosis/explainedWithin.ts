import { isOhms } from '../circuit/meters'
import { bell } from './bell'
import { blundered, isIntoElectronics, type Explained, type Foretold, type Weighable } from './explained'
import { readingOf } from './grouping'
import { blunderChance, ownVariance, type Sharing } from './likelihood'
import type { Met } from './moment'
import { fromOhmsScale, ohmsAsDrawn, ohmsCenter, ohmsSpread } from './ohmsScale'
import { foundWithin, neighbors, onScale, valueWithin, type Whereabouts } from './withinRange'

/**
 * So often a reading is as one of the versions has it that the fault lies between: a relay is in or out,
 * and nowhere between.
 */
const asNeighborShare = 0.4

/** A reading where its fault has been found to lie; null where that has not been found, or does not tell. */
export function explainedWithin(
  reading: Weighable,
  { versions, where }: Met,
  foretold: Foretold,
  sharing: Sharing,
): Explained | null {
  if (!where) return null
  const { meter } = reading
  const resting = atRest(reading, versions, foretold)
  if (resting === null) return null
  const { read, values } = resting
  const within = valueWithin(values, where)
  const spread = spreadWithin(reading, within.value, sharing)
  const scaled = (is: number): number =>
    isOhms(meter) ? ohmsCenter(fromOhmsScale(is), sharing) : is * (1 + sharing.mean)
  const center = scaled(within.value)
  const between = bell(read - center, Math.hypot(spread, Math.sqrt(within.variance)))
  const [one, other, share] = neighbors(values, where)
  const asNeighbor = (is: number): number => bell(read - scaled(is), spreadWithin(reading, is, sharing))
  const good =
    (1 - asNeighborShare) * between +
    asNeighborShare * ((1 - share) * asNeighbor(one) + share * asNeighbor(other))
  const value = isOhms(meter) ? fromOhmsScale(within.value) : within.value
  return {
    chance: (1 - blunderChance) * good + blundered(reading, readingOf(foretold.values[versions[0]]), sharing),
    predicted: { value, variance: within.variance },
    good,
  }
}

interface AtRest {
  readonly read: number
  readonly values: readonly number[]
}

/**
 * What was read, and what it is by version, on their scale; null where one of them is none, a version moves, or
 * it goes into electronics.
 */
function atRest(reading: Weighable, versions: readonly number[], foretold: Foretold): AtRest | null {
  const byVersion = versions.map((version) => readingOf(foretold.values[version]))
  const scaled = onScale(reading.meter, [reading.value, ...byVersion])
  if (scaled === null || isIntoElectronics(reading, byVersion)) return null
  if (versions.some((version) => foretold.moving(version))) return null
  const [read, ...values] = scaled
  return { read, values }
}

/** One standard deviation of a good reading on its scale. */
const spreadWithin = ({ meter, coarse }: Weighable, value: number, sharing: Sharing): number =>
  isOhms(meter)
    ? ohmsSpread(fromOhmsScale(value), sharing)
    : Math.sqrt(value * value * sharing.variance + ownVariance(meter, value, coarse))

/** Where a reading finds a fault to lie in its range, in the light of where it was before. */
export function whereAfter(
  reading: Weighable,
  versions: readonly number[],
  foretold: Foretold,
  sharing: Sharing,
  before: Whereabouts | null,
): Whereabouts | null {
  const resting = atRest(reading, versions, foretold)
  if (resting === null) return before
  const { read, values } = resting
  const asDrawn = isOhms(reading.meter) ? ohmsAsDrawn(read, sharing) : read / (1 + sharing.mean)
  return foundWithin(values, asDrawn, spreadWithin(reading, asDrawn, sharing), before)
}
