import type { Clock } from '../visit/clock'

/** What is kept of a site and of a unit; every value is text, and an empty one is not known. */
export const placeFields = {
  site: ['name', 'address', 'access', 'archived'],
  unit: ['site', 'label', 'place', 'diagram', 'plan', 'make', 'serial', 'installed', 'archived'],
} as const

export type PlaceKind = keyof typeof placeFields
export type PlaceField<K extends PlaceKind> = (typeof placeFields)[K][number]

/** One field set anew; `from` is what the person saw when they changed it. */
export interface FieldChange {
  readonly field: string
  readonly from: string
  readonly to: string
}

/** A change to a site or a unit, made on some device at some time; the first one of a place makes it. */
export interface PlaceEdit {
  readonly id: string
  readonly of: PlaceKind
  readonly place: string
  readonly clock: Clock
  readonly changes: readonly FieldChange[]
}
