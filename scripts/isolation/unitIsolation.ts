import { isolateAll, policies, type Isolation, type Policy } from '@jokulgale/core/diagnosis/isolate'
import { UnitModel } from '@jokulgale/core/diagnosis/predictor'
import { builtInUnit } from '@jokulgale/core/units/index'

/** How every single fault of a unit is found, under each policy. */
export interface UnitIsolation {
  readonly id: string
  /** To what a person can safely tell apart. */
  readonly tolerance: Readonly<Record<Policy, Isolation>>
  /** To the last count of the display. */
  readonly display: Readonly<Record<'best' | 'walk', Isolation>>
  readonly seconds: number
}

export function isolationOf(id: string): UnitIsolation {
  const start = performance.now()
  const model = new UnitModel(builtInUnit(id))
  const tolerance = Object.fromEntries(
    policies.map((policy) => [policy, isolateAll(model, policy)]),
  ) as Record<Policy, Isolation>
  const display = {
    best: isolateAll(model, 'best', 'display'),
    walk: isolateAll(model, 'walk', 'display'),
  }
  return { id, tolerance, display, seconds: (performance.now() - start) / 1000 }
}
