import type { Ends, Fault } from '../parts/effect'

/** Whether a fault joins what should not be joined, with a resistance that is not the same from day to day. */
export const isShort = ({ class: sort }: Pick<Fault, 'class'>): boolean =>
  sort === 'short' || sort === 'ground' || sort === 'crossed'

/**
 * How much resistance a short or a bad connection has at the moment: what its kind says, hardly any, or a
 * lot. A chafe is anything from dead to wet carbon, and is not the same from one reading to the next. `cold`:
 * as an ohmmeter finds what breaks down at its own volts.
 */
export type Resistance = 'drawn' | keyof Ends | 'cold'

/**
 * Ohms of a short at its least and its most, and between; `cold`: what an ohmmeter may find at most of one
 * that breaks down at line volts.
 */
const shortOhms = { least: 0.02, less: 0.08, more: 1.5, most: 8, cold: 3e5 } as const
/** A bad connection has so many times the resistance that its kind says, at its least and its most. */
const looseFactor = { least: 1 / 8, less: 1 / 3, more: 3, most: 8 } as const

const ofThree: readonly Resistance[] = ['least', 'drawn', 'most']
/** What winds on iron goes by leaps as relays drop out on its way: it is looked at more closely. */
const ofFive: readonly Resistance[] = ['least', 'less', 'drawn', 'more', 'most']

/** The resistances that the range of these faults is worked out at, in order. */
export const rangeOf = (faults: readonly Fault[]): readonly Resistance[] =>
  faults.some(({ ends }) => ends?.less !== undefined) ? ofFive : ofThree

/** A fault at another of its resistances, or at an end of its range; one that has none is as it was. */
export function withOhms(fault: Fault, asked: Exclude<Resistance, 'drawn'>): Fault {
  const resistance = asked === 'cold' && !fault.breaksDown ? 'most' : asked
  const place = resistance === 'cold' ? 'most' : resistance
  if (fault.ends) return { ...fault, effects: fault.ends[place] ?? fault.effects }
  if (!hasRange(fault)) return fault
  const at = (ohms: number): number =>
    isShort(fault) ? shortOf(fault, resistance) : ohms * looseFactor[place]
  const effects = fault.effects.map((effect) =>
    effect.does === 'join' || effect.does === 'ohms' ? { ...effect, ohms: at(effect.ohms) } : effect,
  )
  return { ...fault, effects }
}

/** A short at an end of its range; a winding has no more than is left of it. */
const shortOf = ({ mostOhms = Infinity }: Fault, at: Exclude<Resistance, 'drawn'>): number =>
  Math.min(shortOhms[at], at === 'least' ? mostOhms / 2 : mostOhms)

/** Whether a fault is a resistance, or another value, that nobody knows. */
export const hasRange = (fault: Pick<Fault, 'class' | 'effects' | 'ends'>): boolean =>
  fault.ends !== undefined ||
  isShort(fault) ||
  (fault.class === 'loose' && fault.effects.some(({ does }) => does === 'ohms'))
