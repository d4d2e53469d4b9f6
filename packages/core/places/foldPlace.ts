import { compareClocks } from '../visit/clock'
import { placeFields, type PlaceEdit, type PlaceKind } from './placeEdit'

/** A field as it stands. */
export interface FoldedField {
  readonly value: string
  /** What somebody else made of it meanwhile: the later one shows, this one is offered. */
  readonly other: string | null
}

export type FoldedPlace = Readonly<Record<string, FoldedField>>

const unsaid: FoldedField = { value: '', other: null }

/**
 * A place as its edits have it, in the order of their clocks, whatever order they came in. A change that was made without
 * having seen the one before it leaves that one on offer until somebody sets the field again.
 */
export function foldPlace(of: PlaceKind, edits: readonly PlaceEdit[]): FoldedPlace {
  const fields: Record<string, FoldedField> = Object.fromEntries(
    placeFields[of].map((field) => [field, unsaid]),
  )
  const inOrder = [...new Map(edits.map((edit) => [edit.id, edit])).values()].sort(
    (a, b) => compareClocks(a.clock, b.clock) || (a.id < b.id ? -1 : 1),
  )
  for (const { changes } of inOrder)
    for (const { field, from, to } of changes) {
      const before = fields[field]
      if (before === undefined) continue
      const hadNotSeen = before.value !== from && before.value !== to && before.value !== ''
      fields[field] = { value: to, other: hadNotSeen ? before.value : null }
    }
  return fields
}
