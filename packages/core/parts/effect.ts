import type { CauseGroup } from './causeGroup'
import type { FaultClass } from './faultClass'

/** `PART.TERMINAL`, or `EARTH` for the metal of the unit. */
export type PointId = string
export const earth: PointId = 'EARTH'

/** `PART/branch`, or a wire by its two ends, `PART.TERMINAL-PART.TERMINAL`. */
export type BranchId = string

/** What a fault, an action or an alteration does to the circuit. Any number of them act together. */
export type Effect =
  | { readonly does: 'open'; readonly branch: BranchId }
  | { readonly does: 'ohms'; readonly branch: BranchId; readonly ohms: number }
  /** `during` heating: what heat does to it, which is gone when the unit makes none. */
  | { readonly does: 'hold'; readonly branch: BranchId; readonly state: string; readonly during?: 'heating' }
  | { readonly does: 'join'; readonly from: PointId; readonly to: PointId; readonly ohms: number }
  | { readonly does: 'move'; readonly wire: BranchId; readonly end: PointId; readonly to: PointId }
  | { readonly does: 'set'; readonly part: string; readonly setting: string; readonly to: number | string }

/** What something does at either end of its range, and half way there where it goes by leaps. */
export interface Ends {
  readonly least: readonly Effect[]
  readonly less?: readonly Effect[]
  readonly more?: readonly Effect[]
  readonly most: readonly Effect[]
}

/** What takes a trip back for the time being: somebody resets it, or it cools while the unit rests. */
export type Clearing = 'reset' | 'wait'

/** A condition measured above or below a value. */
export interface Exclusion {
  readonly of: string
  readonly above?: number
  readonly below?: number
}

/**
 * Something that can be wrong with a unit: `PART:what`. `prior` is a weight against the unit's other faults.
 */
export interface Fault {
  readonly id: string
  readonly class: FaultClass
  readonly words: string
  readonly prior: number
  readonly effects: readonly Effect[]
  readonly cause: string
  readonly prove: string
  /** The part or wire it belongs to. */
  readonly of: string
  /** The causes of calls that it is counted with, where those are not its part's. */
  readonly countedWith?: CauseGroup
  /** The other wire of two that touch: either one put right ends it. */
  readonly touching?: string
  /** The terminal that a lead was landed on, of a landing. */
  readonly landedOn?: PointId
  readonly shows?: readonly string[]
  readonly welds?: true
  /** It is a dead short at the volts that it works at, and may read many ohms with a meter's few. */
  readonly breaksDown?: true
  /** All runs with it, and less heat is moved by the refrigerant. */
  readonly weakens?: true
  readonly clears?: readonly Clearing[]
  readonly unless?: Exclusion
  /** Under this condition its part does by itself what the fault says: measured so, it needs a reason. */
  readonly when?: Exclusion
  /** Of something that may lie anywhere between two ends: what it does there. */
  readonly ends?: Ends
  /** Of a winding with turns shorted: the ohms that are left of it at most. */
  readonly mostOhms?: number
}

/** The branches that effects open, as leads that are lifted. */
export const branchesOpened = (effects: readonly Effect[]): ReadonlySet<string> =>
  new Set(effects.flatMap((effect) => (effect.does === 'open' ? [effect.branch] : [])))
