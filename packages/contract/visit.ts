import { number, object, string, type InferType } from 'yup'
import { entryBodySchema } from '@jokulgale/core/visit/entrySchema'
import type { Entry } from '@jokulgale/core/visit/log'
import { boundedList } from './bounded'

const uuid = (label: string) =>
  string().strict().uuid(`${label} must be a UUID`).required(`${label} is missing`)

/** `diagram`: the version of the circuit that the device had; a visit keeps it. */
export const newVisitSchema = object({
  id: uuid('id'),
  unit: uuid('unit'),
  diagram: string().strict().max(200),
})
  .noUnknown()
  .strict()
export type NewVisit = InferType<typeof newVisitSchema>

/** A device's hybrid clock. */
export const clockSchema = object({
  wall: number().strict().integer().min(0).max(9_007_199_254_740_991).required(),
  counter: number().strict().integer().min(0).max(2_147_483_647).required(),
  device: string().strict().min(1).max(64).required(),
})
  .noUnknown()
  .required()

export const entrySchema = object({
  id: uuid('id'),
  visit: uuid('visit'),
  clock: clockSchema,
  body: entryBodySchema,
})
  .noUnknown()
  .strict()

const mostEntries = 500

export const sentEntriesSchema = object({
  entries: boundedList(entrySchema, mostEntries, 'entries'),
})
  .noUnknown()
  .strict()
export type SentEntry = Omit<Entry, 'by'>

export interface Visit {
  readonly id: string
  readonly unit: string
  /** The version of the unit's circuit that it began with. */
  readonly diagram: string
  readonly startedAt: string
  readonly startedBy: string
}

/** An entry with its place in the server's own sequence. */
export interface StoredEntry extends Entry {
  readonly sequence: number
}
