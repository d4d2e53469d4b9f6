import { compareClocks, type Clock } from './clock'
import type { EntryBody } from './entry'

/** An entry of a visit's log: never changed, never taken back; a correction is another entry. */
export interface Entry {
  readonly id: string
  readonly visit: string
  readonly clock: Clock
  readonly by: string
  readonly body: EntryBody
}

/** The same log whatever order it came in and however often: each entry once, by clock and then by id. */
export function merge<E extends Entry>(...logs: readonly (readonly E[])[]): readonly E[] {
  const byId = new Map(logs.flat().map((entry) => [entry.id, entry]))
  return [...byId.values()].sort((a, b) => compareClocks(a.clock, b.clock) || (a.id < b.id ? -1 : 1))
}

/** The entries that stand: without those retracted, and without the retractions. */
export function standingEntries(log: readonly Entry[]): readonly Entry[] {
  const retracted = new Set(log.flatMap(({ body }) => (body.kind === 'retracted' ? [body.entry] : [])))
  return log.filter(({ id, body }) => body.kind !== 'retracted' && !retracted.has(id))
}
