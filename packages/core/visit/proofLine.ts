import type { UsualSpan } from './usualSpan'
import type { ProofPlace } from './entry'

/** A value to read in proof, with what the solved circuit has there at the measured volts. */
export interface ProofLine {
  readonly what: string
  /** Where to read it; null for what is not of the circuit: air. */
  readonly at: ProofPlace | null
  readonly unit: 'V' | 'A' | '°F'
  /** Null where the circuit says nothing: air. */
  readonly expected: number | null
  /** What air lies between; none where the circuit says what it should be. */
  readonly usual?: UsualSpan
}

export interface ProofSheet {
  readonly call: string
  readonly words: string
  readonly lines: readonly ProofLine[]
}

/** A reading further off than this share asks for a second look. */
const nearShare = 0.15

/** Whether a value read is near what it should be. */
export const isNear = (expected: number | null, value: number): boolean =>
  expected === null || Math.abs(value - expected) <= Math.max(nearShare * Math.abs(expected), 0.3)

/** A value of a proof in the digits that a meter gives it, without its unit. */
export const proofDigits = (value: number, unit: string): string =>
  value.toFixed(unit === 'A' && Math.abs(value) < 10 ? 2 : 1)
