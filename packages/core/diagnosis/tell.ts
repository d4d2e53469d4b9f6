import {
  explainedByRange,
  explainedByState,
  type Explained,
  type Foretold,
  type Weighable,
} from './explained'
import { explainedWithin, whereAfter } from './explainedWithin'
import type { Factors } from './factors'
import { blunderChance, ownVariance, type Sharing } from './likelihood'
import type { Met } from './moment'
import { knownOhms, learnOhms } from './ohmsFactors'
import type { Track } from './tracks'
import type { Coarseness } from './typed'
import type { Whereabouts } from './withinRange'

/** What a reading says under a track: how probable it is, and what the track has learned from it. */
export interface Told {
  readonly chance: number
  readonly factors: Factors
  readonly where: Whereabouts | null
}

/** A reading must be so much likelier good than a blunder before anything is learned from it. */
const learnsFrom = 1

/**
 * The reading under one of several states, weighted; what explains it best teaches the factors, and where
 * in its range a fault lies.
 */
export function tell(
  reading: Weighable,
  { factors, where }: Pick<Track, 'factors' | 'where'>,
  met: readonly Met[],
  foretold: Foretold,
): Told {
  const sharing: Sharing = { ...sharedBy(reading, factors), ...reading.coarse }
  const ranged = met.find(({ isRange }) => isRange)
  let chance = 0
  let best: Explained | null = null
  // the state that the reading speaks for; whether it is likelier a blunder is asked of that state alone
  let most = -Infinity
  for (const state of met) {
    const { versions, weight } = state
    const explained =
      versions.length === 1
        ? explainedByState(reading, versions[0], foretold, sharing, ranged !== undefined)
        : (explainedWithin(reading, state, foretold, sharing) ??
          explainedByRange(reading, versions, foretold, sharing))
    chance += weight * explained.chance
    if (weight * explained.good > most) {
      most = weight * explained.good
      best = explained
    }
  }
  if (best === null || isBlunder(best)) return { chance, factors, where }
  return {
    chance,
    factors: learned(reading, factors, best),
    where: ranged ? whereAfter(reading, ranged.versions, foretold, sharing, where) : where,
  }
}

/** What is known of what a reading shares with others. */
const sharedBy = ({ meter, terms }: Weighable, factors: Factors): Omit<Sharing, keyof Coarseness> =>
  meter === 'ohms' ? knownOhms(factors, terms) : factors.expect(terms)

/** Whether what explains a reading best has it likelier for a blunder. */
const isBlunder = ({ good, chance }: Explained): boolean =>
  good < learnsFrom * (chance - (1 - blunderChance) * good)

/** Factors after a reading that is no blunder; nothing is learned of a dead wire. */
function learned({ meter, value, coarse, terms }: Weighable, factors: Factors, best: Explained): Factors {
  const { predicted } = best
  if (meter === 'megohms' || value === null || predicted === null) return factors
  const { value: drawn, variance } = predicted
  if (meter !== 'ohms' && (terms.length === 0 || Math.abs(drawn) < 1e-3)) return factors
  const after = factors.clone()
  if (meter === 'ohms') learnOhms(after, terms, { drawn, variance, read: value, ...coarse })
  else after.learn(terms, drawn, value, ownVariance(meter, drawn, coarse) + variance)
  return after
}
