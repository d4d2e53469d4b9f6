import { useEffect, useState } from 'react'
import type { CircuitChange } from '@jokulgale/core/changes/circuitChange'
import { diagnosisService } from '../../workers/diagnosis'

/** What becomes of a unit when one circuit is made of another; null while it is worked out, or cannot be. */
export function useCircuitChange(before: string, after: string): CircuitChange | null {
  const [found, setFound] = useState<{ readonly of: string; readonly change: CircuitChange } | null>(null)
  const of = `${before}\n${after}`
  useEffect(() => {
    let isWanted = true
    // a text that is not finished is marked where it is written
    diagnosisService()
      .change(before, after)
      .then((change) => {
        if (isWanted && change) setFound({ of: `${before}\n${after}`, change })
      })
      .catch(() => undefined)
    return () => {
      isWanted = false
    }
  }, [before, after])
  return found?.of === of ? found.change : null
}
