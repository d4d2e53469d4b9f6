import { array, object, string } from 'yup'
import { placeFields } from '@jokulgale/core/places/placeEdit'
import { keepableText } from '@jokulgale/core/visit/entrySchema'
import { boundedList } from './bounded'
import { clockSchema } from './visit'

const uuid = (label: string) =>
  string().strict().uuid(`${label} must be a UUID`).required(`${label} is missing`)
/** Longer than any field: what is too long for its own is said by name. */
const mostLetters = 4000

const value = (label: string) =>
  string()
    .strict()
    .max(mostLetters)
    .defined(`${label} is missing`)
    .test(...keepableText)

const placeEditSchema = object({
  id: uuid('id'),
  of: string()
    .strict()
    .oneOf(Object.keys(placeFields) as (keyof typeof placeFields)[])
    .required(),
  place: uuid('place'),
  clock: clockSchema,
  changes: array()
    .of(
      object({ field: string().strict().max(40).required(), from: value('from'), to: value('to') })
        .noUnknown()
        .required(),
    )
    .min(1, 'changes is empty')
    .max(20, 'at most 20 changes in an edit')
    .required('changes is missing'),
})
  .noUnknown()
  .strict()

/** What a device sends at once; a longer list goes in several requests. */
export const mostEdits = 200

export const sentPlaceEditsSchema = object({
  edits: boundedList(placeEditSchema, mostEdits, 'edits'),
})
  .noUnknown()
  .strict()

/** A version of a circuit, as it is sent: its text, and the version that it was made from. */
export const newDiagramSchema = object({
  id: uuid('id'),
  ladder: string()
    .strict()
    .max(60_000, 'a circuit has at most 60,000 letters')
    .required('ladder is missing')
    .test(...keepableText),
  follows: string().strict().max(200).defined(),
  why: string()
    .strict()
    .max(2000, 'why: at most 2000 letters')
    .default('')
    .test(...keepableText),
})
  .noUnknown()
  .strict()

export interface NewDiagram {
  readonly id: string
  readonly ladder: string
  /** Empty: made anew. */
  readonly follows: string
  /** Why it was made; empty: nobody said. */
  readonly why: string
}
