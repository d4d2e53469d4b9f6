import { useEffect, useMemo, useRef, useState } from 'react'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { diagnosisService } from '../../workers/diagnosis'

export interface BriefingState {
  readonly briefing: Briefing | null
  readonly busy: boolean
  readonly error: string
}

/** The diagnosis of a log, solved in the worker; the last one stays on the screen until the next is there. */
export function useBriefing(ladder: string, complaint: string, bodies: readonly EntryBody[]): BriefingState {
  const [state, setState] = useState<Omit<BriefingState, 'busy'> & { readonly key: string }>({ briefing: null, error: '', key: '' })
  const newest = useRef(0)
  const entries = useMemo(() => bodies.filter(({ kind }) => matters.has(kind)), [bodies])
  const key = JSON.stringify([ladder.length, complaint, entries])
  useEffect(() => {
    if (ladder === '') return
    const asked = ++newest.current
    diagnosisService().brief(ladder, { complaint, entries }).then(
      (briefing) => { if (asked === newest.current) setState({ briefing, key, error: '' }) },
      (error: unknown) => { if (asked === newest.current) setState((before) => ({ ...before, key, error: error instanceof Error ? error.message : String(error) })) },
    )
    // the key stands for the entries
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ladder, complaint, key])
  return { briefing: state.briefing, error: state.error, busy: state.key !== key }
}

/** Kinds of entries that change what is known of the circuit. */
const matters: ReadonlySet<EntryBody['kind']> = new Set<EntryBody['kind']>([
  'call', 'power', 'condition', 'reading', 'observation', 'action', 'setting', 'unreachable', 'repair', 'wait',
])
