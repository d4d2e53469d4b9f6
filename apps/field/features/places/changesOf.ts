import type { FieldChange } from '@jokulgale/core/places/placeEdit'

/** What a form changes of a record: each field that says something else now. */
export const changesOf = <T extends Readonly<Record<string, string>>>(
  before: T,
  after: T,
): readonly FieldChange[] =>
  Object.keys(before).flatMap((field) => {
    const [from, to] = [before[field], after[field].trim()]
    return from === to ? [] : [{ field, from, to }]
  })
