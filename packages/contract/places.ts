import type { CallSummary } from '@jokulgale/core/visit/callSummary'

/** A unit on a site; `diagram` is the identity of its diagram. */
export interface UnitRecord {
  readonly id: string
  readonly site: string
  readonly label: string
  readonly place: string
  readonly diagram: string
  /** The circuit that somebody means to make of it; empty: none. */
  readonly plan: string
  readonly make: string
  readonly serial: string
  /** A day, or empty where nobody knows. */
  readonly installed: string
  readonly archived: boolean
}

export interface SiteRecord {
  readonly id: string
  readonly name: string
  readonly address: string
  readonly access: string
  readonly archived: boolean
}

export interface DiagramRecord {
  readonly id: string
  readonly title: string
  readonly ladder: string
  /** The version that it was made from; empty: none. */
  readonly follows: string
  /** Why it was made; empty: nobody said. */
  readonly why: string
  /** It came with the program. */
  readonly isBuiltIn: boolean
}

/** A call on the board: a visit that is open, or one that somebody has asked for. */
export interface BoardItem extends CallSummary {
  readonly visit: string
  readonly unit: UnitRecord
  readonly site: SiteRecord
  readonly startedAt: string
}

export interface Board {
  readonly items: readonly BoardItem[]
}

export interface Places {
  readonly sites: readonly SiteRecord[]
  readonly units: readonly UnitRecord[]
  readonly diagrams: readonly DiagramRecord[]
  /** Who signed in here has worked with: names for the report. A reader is sent none. */
  readonly people: readonly { readonly id: string; readonly name: string; readonly licence: string }[]
  /** Fields that two people set without having seen each other's: the later one shows, this one is offered. */
  readonly others: readonly OtherValue[]
  /** Which life of the server's database this is from: another after a restore. */
  readonly epoch: string
}

/** What else somebody made of a field. */
export interface OtherValue {
  readonly place: string
  readonly field: string
  readonly value: string
}
