import { callWords, type Diagram } from '../diagram/diagram'
import { unitOf } from '../circuit/meters'
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

/** Values of a unit over its visits: control power as it was found on each, and what was proven, call by call. */
export function unitHistory(log: readonly Entry[], diagram: Diagram): UnitHistory {
  const entries = standingEntries(merge(log))
  const power: Series = {
    what: 'Control power as found',
    unit: unitOf('volts'),
    points: controlPowerFound(entries, diagram),
  }
  return {
    series: [power, ...proofSeries(entries, diagram)].filter(({ points }) => points.length >= leastPoints),
    replacements: entriesOf(entries, 'part-used').map(({ entry, body }) => ({
      wallMs: entry.clock.wall,
      of: body.of,
      words: body.words,
    })),
  }
}

/** Every value that was proven, by its call and what it is of, in the order of the entries. */
export function proofSeries(entries: readonly Entry[], diagram: Diagram): readonly Series[] {
  const series = new Map<string, { what: string; unit: string; points: SeriesPoint[] }>()
  for (const { entry, body } of entriesOf(entries, 'proof'))
    for (const { what: of, value, unit, expected } of body.values ?? []) {
      const what = `${callWords(diagram, body.call)}: ${of}`
      const known = series.get(what) ?? { what, unit, points: [] }
      known.points.push({ wallMs: entry.clock.wall, value, expected: expected ?? null })
      series.set(what, known)
    }
  return [...series.values()]
}

/** The first reading of each visit between hot and common of the control circuit. */
function controlPowerFound(entries: readonly Entry[], { hot, common }: Diagram): readonly SeriesPoint[] {
  const first = new Map<string, SeriesPoint>()
  for (const { entry, body } of entriesOf(entries, 'reading')) {
    const between = [body.from, body.to ?? common]
    const isControl =
      body.meter === 'volts' && hot !== null && between.includes(hot) && between.includes(common)
    if (isControl && body.value !== null && !first.has(entry.visit))
      first.set(entry.visit, { wallMs: entry.clock.wall, value: body.value, expected: null })
  }
  return [...first.values()]
}
