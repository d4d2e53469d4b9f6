import { usualUnits, valueWords } from '../physics/displayUnits'
import type { Of } from '../visit/fold'
import type { BenchPlace, BenchReading, BenchTool } from './tool'

type Given = Readonly<Record<string, number>>

const isAt = (reading: Omit<Of<'reading'>, 'kind'>, place: Omit<BenchReading, 'value'>): boolean =>
  reading.meter === place.meter &&
  ((reading.from === place.from && reading.to === place.to) ||
    (reading.from === place.to && reading.to === place.from))

/**
 * What a tool need not ask at a place: its plate, and what was read or measured on the visit, the newest of
 * each.
 */
export function filledAt(
  place: BenchPlace,
  readings: readonly Omit<Of<'reading'>, 'kind'>[],
  conditions: Given = {},
): Given {
  const read = Object.entries(place.readings).flatMap(([input, at]) => {
    const newest = readings.filter((reading) => isAt(reading, at)).at(-1)
    return newest?.value === undefined || newest.value === null ? [] : [[input, newest.value] as const]
  })
  const measured = Object.entries(place.conditions ?? {}).flatMap(([input, of]) =>
    of in conditions ? [[input, conditions[of]] as const] : [],
  )
  return { ...place.known, ...Object.fromEntries([...measured, ...read]) }
}

/**
 * What was typed into a tool that is a reading of the unit, and was not read on the visit before: evidence.
 */
export const readingsGiven = (place: BenchPlace, given: Given, filled: Given): readonly Of<'reading'>[] =>
  Object.entries(place.readings).flatMap(([input, at]) =>
    given[input] === undefined || given[input] === filled[input]
      ? []
      : [{ kind: 'reading' as const, ...at, value: given[input] === Infinity ? null : given[input] }],
  )

/**
 * What was typed into a tool that is a condition outside the circuit, and was not known on the visit before.
 */
export const conditionsGiven = (
  { conditions = {} }: BenchPlace,
  given: Given,
  filled: Given,
): readonly Of<'condition'>[] =>
  Object.entries(conditions).flatMap(([input, of]) =>
    given[input] === undefined || given[input] === filled[input]
      ? []
      : [{ kind: 'condition' as const, of, value: given[input] }],
  )

/** A tool's worked example as a sentence: what it was given, and what it says of it. */
export function exampleWords(tool: BenchTool, units = usualUnits): string {
  const entry = calculationEntry(tool, tool.example, '', units)
  return entry
    ? `${entry.given.map(({ what, value }) => `${what} ${value}`).join(', ')}: “${entry.words}”`
    : ''
}

/** A tool's work as an entry of the visit, in words and numbers as they are now. */
export function calculationEntry(
  { title, inputs, extras, work }: BenchTool,
  given: Given,
  of: string,
  units = usualUnits,
): Of<'calculation'> | null {
  const outcome = work(given, units)
  if (outcome.is === 'problems') return null
  const { level, words, lines } = outcome.verdict
  const asked = Object.entries({ ...inputs, ...extras })
  return {
    kind: 'calculation',
    tool: title,
    ...(of ? { of } : {}),
    given: asked.flatMap(([input, { words: what, unit, among, sort }]) => {
      const value = given[input]
      if (value === undefined) return []
      const chosen = among?.find((each) => each.value === value)
      return [
        { what, value: chosen?.words ?? (value === Infinity ? 'OL' : valueWords(value, unit, units, sort)) },
      ]
    }),
    found: lines,
    level,
    words,
  }
}
