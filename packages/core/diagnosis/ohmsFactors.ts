import type { ReadLoad } from '../diagram/loadBetween'
import type { Factors, FactorTerm } from './factors'
import {
  leadsOhms,
  ohmsShare,
  onOhmsScale,
  ownOhmsVariance,
  perOhm,
  perShare,
  unreadShare,
  type KnownOhms,
} from './ohmsScale'

/** Of what a load's ohms may differ by, what parts of a make have alike; the rest is each one's own. */
const ofMake = 0.9

/**
 * The shares by which a load's ohms differ from those of the drawing: all its windings by the same, and
 * mostly all parts of its make.
 */
export function loadOhmsFactors({ id, make }: ReadLoad): readonly FactorTerm[] {
  if (make === null) return [{ key: `ohms ${id}`, mean: 0, spread: ohmsShare }]
  return [
    { key: `ohms of ${make}`, mean: 0, spread: ofMake * ohmsShare },
    { key: `ohms ${id}`, mean: 0, spread: Math.sqrt(1 - ofMake ** 2) * ohmsShare },
  ]
}

/** The ohms of the leads of the meter: every reading of a visit has them. */
const leadsFactor: FactorTerm = { key: 'leads', mean: 0, spread: leadsOhms }

/** What is known of what a reading of ohms shares with others, by the factors of the load that it is of. */
export function knownOhms(factors: Factors, load: readonly FactorTerm[]): Omit<KnownOhms, 'rounding'> {
  const leads = factors.expect([leadsFactor])
  const withLoad = load.reduce((sum, term) => sum + factors.covariance(term, leadsFactor), 0)
  const share = load.length === 0 ? unreadShare : factors.expect(load)
  return { ...share, leads: { ...leads, withLoad } }
}

/** One reading of ohms, and what the drawing has there; `variance` is that of the drawing's, on the scale. */
interface ReadOhms {
  readonly drawn: number
  readonly variance: number
  readonly read: number
  readonly rounding: number
}

/**
 * Teaches what a reading of ohms tells. What several loads have together is known to no better than a share
 * of its own.
 */
export function learnOhms(factors: Factors, load: readonly FactorTerm[], reading: ReadOhms): void {
  const { drawn, variance, read, rounding } = reading
  const share = perShare(drawn)
  const sum = [...load.map((term) => ({ term, weight: share })), { term: leadsFactor, weight: perOhm(drawn) }]
  const ofSeveral = load.length === 0 ? (share * ohmsShare) ** 2 : 0
  factors.observe(
    sum,
    onOhmsScale(read) - onOhmsScale(drawn),
    ownOhmsVariance(drawn, rounding) + variance + ofSeveral,
  )
}
