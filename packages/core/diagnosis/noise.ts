import { isOhms, type Meter } from '../circuit/meters'
import type { Candidate } from './candidates'
import { normal, type Random } from '../world/random'
import { displayStep } from './likelihood'

/**
 * Meter accuracies as instruments state them: share of the reading and counts of the display; taken as two
 * standard deviations.
 */
const accuracy: Readonly<Record<Meter, { readonly share: number; readonly counts: number }>> = {
  volts: { share: 0.01, counts: 3 },
  loz: { share: 0.01, counts: 3 },
  dc: { share: 0.01, counts: 3 },
  millivolts: { share: 0.01, counts: 5 },
  amps: { share: 0.02, counts: 5 },
  ohms: { share: 0.009, counts: 2 },
  megohms: { share: 0.05, counts: 5 },
  microamps: { share: 0.02, counts: 5 },
  microfarads: { share: 0.02, counts: 5 },
}
/** What a unit's supply and its loads differ from the diagram, one standard deviation of a reading. */
const unitSpread = 0.012

/** What a meter shows of a true value, to the count. */
export function noisy(meter: Meter, value: number | null, random: Random): number | null {
  if (value === null) return null
  const { share, counts } = accuracy[meter]
  const step = displayStep(meter, Math.abs(value))
  const spread = Math.hypot(
    (share * Math.abs(value) + counts * step) / 2,
    isOhms(meter) ? 0.03 * Math.abs(value) : unitSpread * Math.abs(value),
  )
  const read = Math.round((value + spread * normal(random)) / step) * step
  return meter === 'dc' ? read : Math.max(0, read)
}

/**
 * How a reading goes wrong: a neighbouring terminal, another function of the meter, another call, a lead that
 * does not touch.
 */
export type Blunder = 'neighbour' | 'function' | 'call' | 'open-lead'
const blunders: readonly Blunder[] = ['neighbour', 'function', 'call', 'open-lead']

/**
 * Whether this reading is a blunder, and which; drawn without regard to what the diagnosis believes of
 * blunders.
 */
export const blunderOf = (random: Random, chance: number): Blunder | null =>
  random() < chance ? blunders[Math.floor(random() * blunders.length)] : null

/** The reading that is really taken when the red lead is one terminal off. */
export function neighbourOf(
  { meter, from, to }: Candidate,
  points: readonly string[],
  random: Random,
): Candidate {
  const at = points.indexOf(from)
  const next = points[Math.min(points.length - 1, Math.max(0, at + (random() < 0.5 ? -1 : 1)))]
  return { meter, from: next === to ? from : next, to }
}
