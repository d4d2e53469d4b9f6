import type { Of } from '@jokulgale/core/visit/fold'
import type { TemporaryMeasure } from '@jokulgale/core/visit/temporary'
import type { SiteRecord, UnitRecord } from './places'

/** A temporary measure that is still on somewhere in the shop. */
export interface OpenMeasure {
  readonly id: string
  readonly visit: string
  readonly unit: UnitRecord
  readonly site: SiteRecord
  readonly sort: TemporaryMeasure['sort']
  readonly words: string
  readonly since: string
  /** Its particulars; null: nobody has said how long and why. */
  readonly left: Of<'temporary-left'> | null
  /** A safety control is out of its circuit. */
  readonly unsafe: boolean
}

export interface Register {
  readonly measures: readonly OpenMeasure[]
}
