import { useEffect, useState } from 'react'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { readFact, writeFact, type PlanIsolated } from '../sync/device'

interface KeptIsolation {
  /** Null: not proven dead, or so long ago that it is to be proven anew. */
  readonly isolated: PlanIsolated | null
  readonly keep: (entries: readonly EntryBody[]) => void
  readonly forget: () => void
}

/** After a shift nobody knows what has been switched on meanwhile. */
const holdsMilliseconds = 12 * 3_600_000

/**
 * What was proven dead for a plan, kept on the device until the plan is carried out: a call, another screen
 * or a reload while the leads are moved loses nothing.
 */
export function usePlanIsolation(plan: string): KeptIsolation {
  const [isolated, setIsolated] = useState<PlanIsolated | null>(null)
  useEffect(() => {
    let left = false
    void readFact('isolations').then((kept) => {
      const known = kept?.[plan]
      // what was proven while it was being read is the newer
      if (!left && known && Date.now() - known.at < holdsMilliseconds) setIsolated((now) => now ?? known)
    })
    return () => {
      left = true
    }
  }, [plan])
  return {
    isolated,
    keep: (entries) => {
      const proven = { at: Date.now(), entries }
      setIsolated(proven)
      void change(plan, proven)
    },
    forget: () => {
      setIsolated(null)
      void change(plan, null)
    },
  }
}

async function change(plan: string, isolated: PlanIsolated | null): Promise<void> {
  const { [plan]: _, ...others } = (await readFact('isolations')) ?? {}
  await writeFact('isolations', isolated ? { ...others, [plan]: isolated } : others)
}
