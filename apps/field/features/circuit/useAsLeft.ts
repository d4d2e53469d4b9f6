import { useMemo } from 'react'
import { merge, standingEntries } from '@jokulgale/core/visit/log'
import { asLeft, type AsLeft } from '@jokulgale/core/visit/asLeft'
import { alterationsOf } from '@jokulgale/core/visit/temporary'
import { useAppSelector } from '../store'

/**
 * A circuit with what a visit found otherwise and meant so; as it is where no visit is named or known here.
 */
export function useAsLeft(ladder: string, visit: string): AsLeft {
  const log = useAppSelector((state) => state.visits.logs[visit])
  return useMemo(
    () => (log ? asLeft(ladder, alterationsOf(standingEntries(merge(log)))) : { text: ladder, notDrawn: [] }),
    [ladder, log],
  )
}
