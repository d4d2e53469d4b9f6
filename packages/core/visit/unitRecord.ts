import type { Diagram } from '../diagram/diagram'
import { entriesOf, type At } from './fold'
import { merge, standingEntries, type Entry } from './log'
import { proofSeries } from './unitHistory'
import { openMeasures, type TemporaryMeasure } from './temporary'

/** A unit at a glance, from all its visits. */
export interface UnitRecord {
  readonly lastOutcome: At<'sign-off'> | null
  readonly lastRepairs: readonly At<'repair'>[]
  readonly openDefects: readonly At<'defect'>[]
  readonly measures: readonly TemporaryMeasure[]
  readonly drifting: readonly Drift[]
  /** Contactors with the years since they were fitted, oldest first. */
  readonly contactors: readonly { readonly part: string; readonly words: string; readonly years: number }[]
  readonly diagramChanges: readonly At<'diagram-changed'>[]
  readonly rewirings: readonly At<'rewired'>[]
  /** Parts repaired more than once. */
  readonly again: readonly { readonly of: string; readonly times: number }[]
}

/** A proof reading that has moved from visit to visit. */
export interface Drift {
  readonly what: string
  readonly values: readonly number[]
  readonly unit: string
}

/** Share of its first value that a proof reading must have moved to be named. */
const driftShare = 0.1
const yearMs = 365.25 * 86_400_000

/** Folds the logs of all visits of a unit. `installed` is a day, or empty where nobody knows it; `nowMs` the present. */
export function foldUnitRecord(
  log: readonly Entry[],
  diagram: Diagram,
  installed: string,
  nowMs: number,
): UnitRecord {
  const entries = standingEntries(merge(log))
  const closed = new Set(entriesOf(entries, 'defect-closed').map(({ body }) => body.entry))
  const repairs = entriesOf(entries, 'repair')
  const last = entriesOf(entries, 'sign-off').at(-1) ?? null
  const count = new Map<string, number>()
  for (const { body } of repairs) count.set(body.of, (count.get(body.of) ?? 0) + 1)
  return {
    lastOutcome: last,
    lastRepairs: repairs.filter(({ entry }) => entry.visit === last?.entry.visit),
    openDefects: entriesOf(entries, 'defect').filter(({ entry }) => !closed.has(entry.id)),
    measures: openMeasures(entries),
    drifting: drifts(entries, diagram),
    contactors: [...diagram.parts.values()]
      .filter(({ kind }) => kind.ageShown)
      .flatMap(({ id, words }) => {
        const fitted =
          repairs.filter(({ body }) => body.of === id).at(-1)?.entry.clock.wall ?? Date.parse(installed)
        // nobody knows since when
        if (Number.isNaN(fitted)) return []
        return [{ part: id, words, years: Math.max(0, (nowMs - fitted) / yearMs) }]
      })
      .sort((a, b) => b.years - a.years),
    diagramChanges: entriesOf(entries, 'diagram-changed'),
    rewirings: entriesOf(entries, 'rewired'),
    again: [...count].filter(([, times]) => times > 1).map(([of, times]) => ({ of, times })),
  }
}

const drifts = (entries: readonly Entry[], diagram: Diagram): readonly Drift[] =>
  proofSeries(entries, diagram).flatMap(({ what, unit, points }): readonly Drift[] => {
    const values = points.map(({ value }) => value)
    const [first] = values
    const last = values[values.length - 1]
    return values.length > 1 && unit !== '°F' && Math.abs(last - first) > driftShare * Math.abs(first)
      ? [{ what, values, unit }]
      : []
  })
