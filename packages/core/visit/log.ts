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

/** The entries that stand: without those retracted, those corrected with their right value, and neither word for it. */
export function standingEntries(log: readonly Entry[]): readonly Entry[] {
  const retracted = new Set(log.flatMap(({ body }) => (body.kind === 'retracted' ? [body.entry] : [])))
  const corrections = new Map(
    log.flatMap(({ id, body }) =>
      body.kind === 'corrected' && !retracted.has(id) ? [[body.entry, body] as const] : [],
    ),
  )
  return log
    .filter(({ id, body }) => body.kind !== 'retracted' && body.kind !== 'corrected' && !retracted.has(id))
    .map((entry) => {
      const right = corrections.get(entry.id)
      return right ? { ...entry, body: corrected(entry.body, right) } : entry
    })
}

function corrected(body: EntryBody, { value, typed }: EntryBody & { readonly kind: 'corrected' }): EntryBody {
  if (body.kind === 'reading') {
    const { typed: _before, ...rest } = body
    return { ...rest, value, ...(typed === undefined ? {} : { typed }) }
  }
  return body.kind === 'condition' && value !== null ? { ...body, value } : body
}
