import type { Diagram } from '../diagram/diagram'
import type { Condition } from '../parts/kind'
import { unitShown, usualUnits, valueShown, type DisplayUnits, type Sort } from '../physics/displayUnits'
import type { Of } from '../visit/fold'
import type { Picture } from './picture'

/** How a finding is meant: as it should be, worth watching, or something to act on. */
export type Level = 'good' | 'watch' | 'act'

/** A number that a tool asks for, in the unit that a meter or plate has it in. */
export interface BenchInput {
  readonly words: string
  readonly unit: string
  readonly least: number
  readonly most: number
  /** What it is where nobody says otherwise. */
  readonly usual?: number
  /** It is how far two values are apart. */
  readonly sort?: Sort
  /** The meter may show OL, which is an answer: infinite. */
  readonly mayOverload?: true
  /** It is one of these, chosen and not typed; the number stands for its words. */
  readonly among?: readonly { readonly value: number; readonly words: string }[]
}

/** A line of what was worked out. */
export interface BenchLine {
  readonly what: string
  readonly value: string
}

export interface Verdict {
  readonly level: Level
  readonly words: string
  readonly lines: readonly BenchLine[]
  /** Where people would rather look than read. */
  readonly picture?: Picture
}

/** What is wrong with an input, for the person who typed it. */
export interface InputProblem {
  readonly input: string
  readonly message: string
}

export type Outcome =
  | { readonly is: 'verdict'; readonly verdict: Verdict }
  | { readonly is: 'problems'; readonly problems: readonly InputProblem[] }

/** A reading that a tool was given, where it was taken in the unit. */
export type BenchReading = Pick<Of<'reading'>, 'meter' | 'from' | 'to' | 'value'>

/** Where in a unit a tool is used: its numbers by name, and which of them are readings there. */
export interface BenchPlace {
  readonly part: string
  /** What the unit's plates say. */
  readonly known: Readonly<Record<string, number>>
  /** Which input is a reading between which points. */
  readonly readings: Readonly<Record<string, Omit<BenchReading, 'value'>>>
  /** Which input is a condition outside the circuit. */
  readonly conditions?: Readonly<Record<string, Condition>>
  /** What the unit itself shows there, before any number is typed. */
  readonly picture?: Picture
}

/** One tool of the bench: what it asks for, what it finds, and the rule it finds it by. */
export interface BenchTool {
  readonly id: string
  readonly title: string
  readonly group: string
  /** When it is of use, in a sentence. */
  readonly use: string
  readonly source: string
  readonly inputs: Readonly<Record<string, BenchInput>>
  /** Inputs that may be left out. */
  readonly extras: Readonly<Record<string, BenchInput>>
  /** Typical numbers, worked out beside the fields. */
  readonly example: Readonly<Record<string, number>>
  /** Numbers in the units of its inputs; what it says is in those that are shown. */
  readonly work: (given: Readonly<Record<string, number>>, units?: DisplayUnits) => Outcome
  /** Where in a unit it can be used. */
  readonly places: (diagram: Diagram) => readonly BenchPlace[]
  /** A caution at the point of use. */
  readonly caution?: string
}

interface Spec<R extends string, O extends string> extends Omit<
  BenchTool,
  'work' | 'extras' | 'places' | 'inputs' | 'example'
> {
  readonly example: NoInfer<Given<R, O>>
  readonly inputs: Readonly<Record<R, BenchInput>>
  readonly extras?: Readonly<Record<O, BenchInput>>
  readonly places?: BenchTool['places']
  /** What does not go together, though each number is possible by itself. */
  readonly check?: (given: Given<R, O>) => readonly InputProblem[]
  readonly find: (given: Given<R, O>, units: DisplayUnits) => Verdict
}

type Given<R extends string, O extends string> = Readonly<Record<R, number>> &
  Readonly<Partial<Record<O, number>>>

/**
 * Makes a tool of its rule: numbers that are missing or impossible are named before anything is worked out.
 */
export function benchTool<R extends string, O extends string = never>(spec: Spec<R, O>): BenchTool {
  const { inputs, check, find, places = () => [], ...rest } = spec
  const extras: Readonly<Record<string, BenchInput>> = spec.extras ?? {}
  return {
    ...rest,
    inputs,
    extras,
    example: Object.fromEntries(Object.entries<number | undefined>(spec.example).flatMap(defined)),
    places,
    work: (given, units = usualUnits) => {
      const alone = [
        ...Object.entries<BenchInput>(inputs).flatMap(([input, asked]) =>
          problemOf(input, asked, given[input], true, units),
        ),
        ...Object.entries(extras).flatMap(([input, asked]) =>
          problemOf(input, asked, given[input], false, units),
        ),
      ]
      if (alone.length > 0) return { is: 'problems', problems: alone }
      const known = given as Given<R, O>
      const together = check?.(known) ?? []
      return together.length > 0
        ? { is: 'problems', problems: together }
        : { is: 'verdict', verdict: find(known, units) }
    },
  }
}

const defined = ([input, value]: [string, number | undefined]): readonly (readonly [string, number])[] =>
  value === undefined ? [] : [[input, value]]

function problemOf(
  input: string,
  { words, unit, least, most, mayOverload, sort }: BenchInput,
  value: number | undefined,
  needed: boolean,
  units: DisplayUnits,
): readonly InputProblem[] {
  if (value === undefined) return needed ? [{ input, message: `${words} is missing` }] : []
  const isPossible =
    (Number.isFinite(value) && value >= least && value <= most) ||
    (mayOverload === true && value === Infinity)
  if (isPossible) return []
  const said = (each: number): number => valueShown(each, unit, units, sort)
  const range = `from ${said(least)} to ${said(most)} ${unitShown(unit, units)}`
  return [{ input, message: `${words} is ${range}; ${said(value)} cannot be right` }]
}

/** A number as it is read: so many places behind the point. */
export const shown = (value: number, unit: string, places = 1): string =>
  value === Infinity ? 'OL' : `${value.toFixed(places)} ${unit}`.trim()
export const percent = (share: number, places = 1): string => shown(100 * share, '%', places)

/** The same of a temperature or pressure, in the unit that is shown. */
export const shownIn = (
  units: DisplayUnits,
  value: number,
  unit: '°F' | 'psig',
  sort: Sort = 'point',
  places = 1,
): string => shown(valueShown(value, unit, units, sort), unitShown(unit, units), places)
