import type { Diagram } from '../diagram/diagram'
import { unitOf } from '../circuit/meter'
import { entriesOf } from './fold'
import { merge, standingEntries, type Entry } from './log'

/** A value of a series, and what the solved circuit expected then where it was said. */
export interface SeriesPoint {
  readonly wallMs: number
  readonly value: number
  readonly expected: number | null
}

/** What was read at the same place on several visits, oldest first. */
export interface Series {
  readonly what: string
  readonly unit: string
  readonly points: readonly SeriesPoint[]
}

/** What was put in the place of what, and when. */
export interface Replacement {
  readonly wallMs: number
  readonly of: string
  readonly words: string
}

export interface UnitHistory {
  readonly series: readonly Series[]
  readonly replacements: readonly Replacement[]
}

/** With one value there is nothing to compare. */
const leastPoints = 2

/** Values of a unit over its visits: what was proven, call by call, and control power as it was found on each. */
export function unitHistory(log: readonly Entry[], diagram: Diagram): UnitHistory {
  const entries = standingEntries(merge(log))
  const callWords = new Map(diagram.calls.map(({ id, words }) => [id, words]))
  const series = new Map<string, { what: string; unit: string; points: SeriesPoint[] }>()
  const add = (what: string, unit: string, point: SeriesPoint): void => {
    const key = `${what} ${unit}`
    const known = series.get(key) ?? { what, unit, points: [] }
    known.points.push(point)
    series.set(key, known)
  }
  for (const { entry, value } of controlPowerFound(entries, diagram))
    add('Control power as found', unitOf('volts'), { wallMs: entry.clock.wall, value, expected: null })
  for (const { entry, body } of entriesOf(entries, 'proof'))
    for (const { what, value, unit, expected } of body.values ?? [])
      add(`${callWords.get(body.call) ?? body.call}: ${what}`, unit, {
        wallMs: entry.clock.wall,
        value,
        expected: expected ?? null,
      })
  return {
    series: [...series.values()].filter(({ points }) => points.length >= leastPoints),
    replacements: entriesOf(entries, 'part-used').map(({ entry, body }) => ({
      wallMs: entry.clock.wall,
      of: body.of,
      words: body.words,
    })),
  }
}

/** The first reading of each visit between hot and common of the control circuit. */
function controlPowerFound(
  entries: readonly Entry[],
  { hot, common }: Diagram,
): readonly { readonly entry: Entry; readonly value: number }[] {
  const first = new Map<string, { entry: Entry; value: number }>()
  for (const { entry, body } of entriesOf(entries, 'reading')) {
    const between = [body.from, body.to ?? common]
    const isControl =
      body.meter === 'volts' && hot !== null && between.includes(hot) && between.includes(common)
    if (isControl && body.value !== null && !first.has(entry.visit))
      first.set(entry.visit, { entry, value: body.value })
  }
  return [...first.values()]
}
