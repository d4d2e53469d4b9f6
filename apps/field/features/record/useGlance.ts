import { useEffect, useState } from 'react'
import type { UnitGlance } from '@jokulgale/contract/records'
import { request } from '../sync/request'

const kept = new Map<string, UnitGlance>()

/** A unit's record at a glance; null while it is not known, or with no signal. */
export function useGlance(unit: string): UnitGlance | null {
  const [glance, setGlance] = useState<UnitGlance | null>(kept.get(unit) ?? null)
  useEffect(() => {
    let here = true
    request<UnitGlance>('GET', `/units/${unit}/record`).then(
      (found) => {
        kept.set(unit, found)
        if (here) setGlance(found)
      },
      () => undefined,
    )
    return () => {
      here = false
    }
  }, [unit])
  return glance
}
