import { rangeEnd } from '../circuit/meters'
import { insulationMegohms } from '../physics/insulation'
import { bell } from './bell'

const soundMegohms = insulationMegohms.sound
/** What the tester's leads and damp hands add, megohms: what is shorted reads about this or less. */
const floorMegohms = 0.005
/** Spread of a leak from one day to the next, on a logarithmic scale. */
const spread = 0.7

/** Sound insulation is out of range, or anything in it; aged and damp it is a little below the rule. */
const sound = { outOfRange: 0.25, inService: 0.7, aged: 0.05, agedFrom: 0.05 } as const
const endMegohms = rangeEnd.megohms / 1e6

const isSound = (megohms: number | null): boolean => megohms === null || megohms >= soundMegohms

const logOf = (megohms: number): number => Math.log(megohms + floorMegohms)

/** Density of a tester's reading per unit of its logarithm, chance of OL; megohms. */
export function insulationDensity(value: number | null, predicted: number | null): number {
  if (predicted !== null && !isSound(predicted)) {
    if (value === null) return 0
    return bell(logOf(value) - logOf(predicted), spread)
  }
  if (value === null) return sound.outOfRange
  if (value >= soundMegohms) return sound.inService / Math.log(endMegohms / soundMegohms)
  return value < sound.agedFrom ? 0 : sound.aged / Math.log(soundMegohms / sound.agedFrom)
}

/** What is most likely predicted where a tester shows this: sound insulation, or a short. Megohms. */
export const insulationBehind = (value: number | null): number | null =>
  value !== null && value < sound.agedFrom ? 0 : null

/** How far apart two predictions are, in standard deviations; what is sound is all alike. */
export function leaksApart(a: number | null, b: number | null): number {
  if (isSound(a) && isSound(b)) return 0
  const [one, other] = [a, b].map((megohms) => logOf(Math.min(megohms ?? Infinity, soundMegohms)))
  return Math.abs(one - other) / spread
}

/** Leads that touch nothing, or each other. */
const openLeads = 0.4
const touchingLeads = 0.2

/** The same of a reading that is a blunder. */
export function insulationBlunder(value: number | null): number {
  if (value === null) return openLeads
  const anywhere = (1 - openLeads - touchingLeads) / (logOf(endMegohms) - logOf(0))
  return touchingLeads * insulationDensity(value, 0) + anywhere
}
