import type { EntryBody } from './entry'
import type { Entry } from './log'

type ByKind = { readonly [B in EntryBody as B['kind']]: B }
export type Of<K extends EntryBody['kind']> = ByKind[K]
export type At<K extends EntryBody['kind']> = { readonly entry: Entry; readonly body: Of<K> }

/** All entries of a kind, in order. */
export const entriesOf = <K extends EntryBody['kind']>(
  entries: readonly Entry[],
  kind: K,
): readonly At<K>[] =>
  entries.flatMap((entry) => (isOf(entry.body, kind) ? [{ entry, body: entry.body }] : []))

const isOf = <K extends EntryBody['kind']>(body: EntryBody, kind: K): body is Of<K> => body.kind === kind
