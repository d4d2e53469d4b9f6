/** Stands where an option has one of these values. */
export interface Condition {
  readonly option: string
  readonly values: readonly string[]
}

/** A piece of a line: always there, or only where every condition holds. */
export type Piece =
  | { readonly is: 'text'; readonly text: string }
  | { readonly is: 'guarded'; readonly conditions: readonly Condition[]; readonly pieces: readonly Piece[] }

interface Guarded {
  readonly guard: readonly Condition[]
  readonly line: number
}

export interface OptionStatement extends Guarded {
  readonly is: 'option'
  readonly id: string
  readonly words: string
  readonly values: readonly OptionValue[]
}

export interface OptionValue {
  readonly id: string
  readonly words: string
  /** Whether a unit's title says it. */
  readonly inTitle: boolean
}

export interface ChoiceStatement extends Guarded {
  readonly is: 'choice'
  readonly id: string
  readonly title: string
  readonly values: readonly (readonly [option: string, value: string])[]
}

export interface TextStatement extends Guarded {
  readonly is: 'text'
  readonly pieces: readonly Piece[]
}

/** One line of a family's text, as the grammar reads it. */
export type FamilyStatement = OptionStatement | ChoiceStatement | TextStatement
