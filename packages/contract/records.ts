import type { Of } from '@jokulgale/core/visit/fold'
import type { UnitHistory } from '@jokulgale/core/visit/unitHistory'

/** A unit's record at a glance. */
export interface UnitGlance {
  readonly last: {
    readonly day: string
    readonly outcome: string
    readonly words: string
    readonly repairs: readonly string[]
  } | null
  readonly defects: readonly { readonly id: string; readonly words: string; readonly since: string }[]
  readonly measures: readonly { readonly id: string; readonly words: string; readonly until: string }[]
  /** Proof readings that have moved from visit to visit, in words. */
  readonly drifting: readonly string[]
  readonly contactors: readonly { readonly words: string; readonly years: number }[]
  readonly changes: readonly string[]
  readonly again: readonly string[]
  readonly history: UnitHistory
}

/** What is known of where a unit's test points are: pictures of its panels, and points pinned on them. */
export interface UnitPanel {
  readonly spots: readonly Of<'pinned'>[]
  /** Newest first. */
  readonly photos: readonly Dated<{ readonly photo: string; readonly words: string }>[]
}

/** A visit in whose words something was found. */
export interface FoundVisit {
  readonly visit: string
  readonly unit: string
  readonly day: string
  readonly words: string
}

type Dated<T> = T & { readonly day: string }

/** What is known at a site of which thermostat belongs to which unit. */
export interface Pairing {
  readonly pairs: readonly Dated<Of<'pairing'>>[]
  readonly steps: readonly Dated<Of<'pairing-step'>>[]
  readonly places: readonly Of<'placed'>[]
}
