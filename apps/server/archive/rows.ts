import type { Clock } from '@jokulgale/core/visit/clock'
import type { FieldChange, PlaceKind } from '@jokulgale/core/places/placeEdit'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { Role } from '@jokulgale/contract/people'
import type { SecurityEvent } from '@jokulgale/contract/security'

/** The head of an archive: what it is, and whose. */
export interface ShopRow {
  readonly format: typeof archiveFormat
  readonly version: typeof archiveVersion
  readonly id: string
  readonly name: string
}

export const archiveFormat = 'jokulgale-shop'
/** A later program reads earlier versions; an earlier one says that it cannot read a later. */
export const archiveVersion = 1

/** No password goes with a person: whoever comes along chooses a new one. */
export interface PersonRow {
  readonly id: string
  readonly name: string
  readonly email: string
  readonly role: Role
  readonly site: string | null
  /** Left out of archives that are older than it. */
  readonly licence?: string
  readonly closedAt: string | null
}

export interface CircuitRow {
  readonly id: string
  readonly title: string
  readonly ladder: string
  readonly follows: string | null
  /** Left out of archives that are older than it. */
  readonly why?: string
  /** Null: it came with the program. */
  readonly madeBy: string | null
  readonly madeAt: string
}

export interface PlaceEditRow {
  readonly id: string
  readonly by: string | null
  readonly of: PlaceKind
  readonly place: string
  readonly changes: readonly FieldChange[]
  readonly clock: Clock
  readonly receivedAt: string
}

export interface VisitRow {
  readonly id: string
  readonly unit: string
  readonly circuit: string
  readonly startedBy: string
  readonly startedAt: string
}

export interface EntryRow {
  readonly id: string
  readonly visit: string
  readonly by: string
  readonly clock: Clock
  readonly body: EntryBody
  readonly receivedAt: string
}

export interface PhotoRow {
  readonly id: string
  readonly visit: string
  readonly by: string
  readonly type: string
  readonly takenAt: string | null
  readonly receivedAt: string
  /** Its file within the archive. */
  readonly file: string
}

export interface SecurityRow {
  readonly by: string | null
  readonly what: SecurityEvent['what']
  readonly about: string
  readonly at: string
}
