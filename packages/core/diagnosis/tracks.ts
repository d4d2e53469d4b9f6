import type { Factors } from './factors'
import type { Blown } from './moment'
import type { Around } from './otherSurroundings'
import type { Resistance } from './resistance'
import type { Whereabouts } from './withinRange'

/**
 * One account of how things stand under a hypothesis: whether its trips happened before anybody arrived,
 * whether it comes and goes, and what has been learned of the factors that readings share.
 */
export interface Track {
  readonly logWeight: number
  readonly factors: Factors
  /** Where in its range the fault lies, as far as readings have told; null: they have not. */
  readonly where: Whereabouts | null
  readonly blown: Blown
  /** The ways in which it may yet trip something, where it has not. */
  readonly opens: readonly Resistance[]
  /** Chance that the fault is there just now; null: it does not come and go. */
  readonly present: number | null
  /** Chance that a fault which comes and goes stays as it is from one entry to the next, as a rule. */
  readonly keeps: number
  /** The same until the next entry. */
  readonly stays: number
  /** A switch that the fault makes open and close again and again. */
  readonly cycle: Cycle
  /** Chance that the unit starts over and over, where at some ohms of the fault it does; null: not told. */
  readonly startsOver: number | null
  /** The calls have stood for longer than anybody said: every delay is over. */
  readonly late: boolean
  /** What is known of surroundings that nobody has measured; null: none tell on this unit. */
  readonly around: Around | null
}

/** Where a switch that opens and closes again and again stands. */
export interface Cycle {
  /** Chance that it is open just now. */
  readonly opened: number
  /** Chance that it stays as it is until the next entry. */
  readonly stays: number
}

/** The weight of tracks together, in logarithms. */
export const sumOfLogs = (tracks: readonly Track[]): number => {
  const top = tracks.reduce((most, { logWeight }) => Math.max(most, logWeight), -Infinity)
  if (top === -Infinity) return -Infinity
  return top + Math.log(tracks.reduce((sum, { logWeight }) => sum + Math.exp(logWeight - top), 0))
}

/** What a piece of evidence makes of a hypothesis's track. */
export type Weigher = (h: number, track: Track) => Track

/** What time that passes and a piece of evidence make of all tracks of a hypothesis. */
export type Carrier = (h: number, tracks: readonly Track[]) => readonly Track[]
