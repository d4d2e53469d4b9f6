import { parsed } from '../diagram/parsed'
import { parse } from '../generated/familyParser'
import type {
  ChoiceStatement,
  Condition,
  FamilyStatement,
  OptionStatement,
  OptionValue,
  Piece,
  TextStatement,
} from './familyStatement'

/** What a unit of the family may have: the first value is the usual one. */
export interface FamilyOption {
  readonly id: string
  readonly words: string
  readonly values: readonly OptionValue[]
}

/** A value for each option, by option. */
export type Chosen = Readonly<Record<string, string>>

/** A family of units: what differs from one to the next, and the circuit that follows from it. */
export interface Family {
  readonly id: string
  readonly words: string
  /** Named members, with the values that are not the usual ones. */
  readonly choices: readonly { readonly id: string; readonly title: string; readonly values: Chosen }[]
  /** Every option that some unit of the family has. */
  readonly allOptions: readonly FamilyOption[]
  /** The options that a unit with these values has, usual values standing for those not named. */
  readonly optionsOf: (chosen: Chosen) => readonly FamilyOption[]
  /** The ladder text of the unit with these values. Throws FamilyError for a value that is not offered. */
  readonly ladderOf: (chosen: Chosen, name?: { readonly id: string; readonly title: string }) => string
}

/** A family's text, or what is chosen of it, cannot be used. */
export class FamilyError extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'FamilyError'
  }
}

/** Longer than any family of units. */
const mostLetters = 100_000

/** What a family is called, and its place where families are offered: those that are met most come first. */
export interface FamilyHead {
  readonly id: string
  readonly words: string
  readonly place: number
}

/** The first line of a family's text: `family NAME "words"`, or with `place 3` behind it. Throws FamilyError. */
export function familyHead(text: string): FamilyHead {
  const named = /^family ([a-z][a-z0-9-]*) "([^"\r\n]*)"(?: place ([1-9][0-9]?))?(?:\r?\n|$)/.exec(text)
  if (!named) throw new FamilyError('line 1: start the text with a line family NAME "words"')
  const [, id, words, place] = named
  return { id, words, place: place ? Number(place) : Infinity }
}

/** Reads a family's text: its first line, options, choices, and guarded ladder text. Throws FamilyError. */
export function readFamily(text: string): Family {
  if (text.length > mostLetters)
    throw new FamilyError(`a family of ${text.length} letters; ${mostLetters} are more than any has`)
  const { id, words } = familyHead(text)
  const [, ...rest] = text.split(/\r?\n/)
  // the parser keeps the numbers of the lines: the first one is read here
  const statements = parsed(
    parse,
    ['', ...rest].join('\n'),
    ({ line, column, message }) => new FamilyError(`line ${line}, column ${column}: ${message}`),
  )
  const options = statements.filter((each): each is OptionStatement => each.is === 'option')
  const choices = statements.filter((each): each is ChoiceStatement => each.is === 'choice')
  const lines = statements.filter((each): each is TextStatement => each.is === 'text').slice(1)
  checkConditions(statements, options)
  const optionsOf = (chosen: Chosen): readonly FamilyOption[] =>
    offered(options, chosen).map(({ option }) => option)
  return {
    id,
    words,
    choices: choices.map((choice) => ({
      id: choice.id,
      title: choice.title,
      values: Object.fromEntries(choice.values),
    })),
    allOptions: options,
    optionsOf,
    ladderOf: (chosen, name) => {
      checkChosen(options, chosen)
      const values = new Map(offered(options, chosen).map(({ option, value }) => [option.id, value]))
      const { id: own, title } = name ?? { id, title: titleOf(words, optionsOf(chosen), values) }
      const body = lines
        .filter(({ guard }) => holds(guard, values))
        .map(({ pieces }) => written(pieces, values))
      return `unit ${own} "${title}"\n${body.join('\n').trimStart()}`
    },
  }
}

/** The options that stand with these values, each with its own; an option may hang on those before it. */
function offered(
  options: readonly OptionStatement[],
  chosen: Chosen,
): readonly { readonly option: OptionStatement; readonly value: string }[] {
  const values = new Map<string, string>()
  return options.flatMap((option) => {
    if (!holds(option.guard, values)) return []
    const value = chosen[option.id] ?? option.values[0].id
    values.set(option.id, value)
    return [{ option, value }]
  })
}

/** An option that is not offered has no value, and no condition on it holds. */
const holds = (conditions: readonly Condition[], values: ReadonlyMap<string, string>): boolean =>
  conditions.every(({ option, values: wanted }) => {
    const value = values.get(option)
    return value !== undefined && wanted.includes(value)
  })

const written = (pieces: readonly Piece[], values: ReadonlyMap<string, string>): string =>
  pieces
    .map((piece) => {
      if (piece.is === 'text') return piece.text
      return holds(piece.conditions, values) ? written(piece.pieces, values) : ''
    })
    .join('')

const titleOf = (
  words: string,
  options: readonly FamilyOption[],
  values: ReadonlyMap<string, string>,
): string =>
  [
    words,
    ...options.flatMap(({ id, values: all }) => {
      const value = all.find((each) => each.id === values.get(id))
      return value?.inTitle ? [value.words] : []
    }),
  ].join(', ')

function checkChosen(options: readonly OptionStatement[], chosen: Chosen): void {
  for (const [id, value] of Object.entries(chosen)) {
    const option = options.find((each) => each.id === id)
    if (!option)
      throw new FamilyError(`no option “${id}”; there are ${options.map((each) => each.id).join(', ')}`)
    if (!option.values.some((each) => each.id === value))
      throw new FamilyError(
        `${id} “${value}” is not offered; it may be ${option.values.map((each) => each.id).join(', ')}`,
      )
  }
}

/**
 * Every condition names an option and values that there are: a slip would leave a line out without a word.
 */
function checkConditions(statements: readonly FamilyStatement[], options: readonly OptionStatement[]): void {
  const known = new Map(options.map(({ id, values }) => [id, new Set(values.map((value) => value.id))]))
  const problems = statements.flatMap((statement) =>
    conditionsOf(statement).flatMap(({ option, values }) =>
      values
        .filter((value) => !known.get(option)?.has(value))
        .map((value) => `line ${statement.line}: no option ${option} has a value ${value}`),
    ),
  )
  if (problems.length > 0) throw new FamilyError(problems.join('\n'))
}

const conditionsOf = (statement: FamilyStatement): readonly Condition[] => [
  ...statement.guard,
  ...(statement.is === 'text' ? statement.pieces.flatMap(within) : []),
  ...(statement.is === 'choice'
    ? statement.values.map(([option, value]) => ({ option, values: [value] }))
    : []),
]

const within = (piece: Piece): readonly Condition[] =>
  piece.is === 'text' ? [] : [...piece.conditions, ...piece.pieces.flatMap(within)]
