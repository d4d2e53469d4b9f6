import { startTransition, useEffect, useMemo, useRef, useState } from 'react'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import { tellsOfCircuit } from '@jokulgale/core/visit/tellsOfCircuit'
import type { School } from '@jokulgale/core/diagnosis/schools'
import { diagnosisService } from '../../workers/diagnosis'
import { useAppSelector } from '../store'
import type { OpenVisit } from './useVisit'

const yearMs = 365.25 * 86_400_000

/**
 * Whether what is shown was judged from all that has been entered: it was, it will be, or it could not be.
 */
export type Judged = 'anew' | 'not yet' | 'not'

export interface BriefingState {
  readonly briefing: Briefing | null
  readonly busy: boolean
  /** Call and power have not been changed since what is shown was asked for. */
  readonly isOfThisCall: boolean
  readonly judged: Judged
  readonly error: string
}

/** What was worked out last, and of what: a log grows, so its changes of call and power are counted. */
type Shown = Pick<BriefingState, 'briefing' | 'error'> & {
  /** What was answered last, if only by an error. */
  readonly key: string
  /** What the briefing was worked out of. */
  readonly judged: string
  readonly changes: number
}

/** The diagnosis of a log, solved in the worker; the last one stays on the screen until the next is there. */
export function useBriefing(
  { ladder, state: { complaint }, bodies, unit }: OpenVisit,
  school: School,
): BriefingState {
  const experience = useAppSelector((state) => state.places.experience)
  const [shown, setState] = useState<Shown>({
    briefing: null,
    error: '',
    key: '',
    judged: '',
    changes: -1,
  })
  const newest = useRef(0)
  const entries = useMemo(() => bodies.filter(tellsOfCircuit), [bodies])
  const changes = entries.filter(({ kind }) => kind === 'call' || kind === 'power').length
  const key = JSON.stringify([ladder.length, complaint, entries, school, experience])
  useEffect(() => {
    if (ladder === '') return
    const asked = ++newest.current
    // of an age that nobody knows nothing is said
    const age = unit.installed ? { ageYears: (Date.now() - Date.parse(unit.installed)) / yearMs } : {}
    const facts = { ...age, ...(experience ? { experience } : {}) }
    const file = { complaint, entries }
    const show = (next: (before: Shown) => Shown): void => {
      if (asked === newest.current) setState(next)
    }
    const service = diagnosisService()
    // on a unit that is solved for the first time here, the suspects are there a second before the asks
    if (shown.briefing === null)
      service.briefSoFar(ladder, file, facts).then(
        (briefing) => {
          show((before) => ({ ...before, briefing, judged: key, changes }))
        },
        // what is wrong is said by the answer that follows
        () => undefined,
      )
    service.brief(ladder, file, { school }, facts).then(
      (briefing) => {
        startTransition(() => {
          show(() => ({ briefing, key, judged: key, changes, error: '' }))
        })
      },
      (error: unknown) => {
        show((before) => ({ ...before, key, error: error instanceof Error ? error.message : String(error) }))
      },
    )
    // the key stands for the entries
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ladder, complaint, key, unit.installed])
  const isBusy = shown.key !== key
  return {
    briefing: shown.briefing,
    error: shown.error,
    busy: isBusy,
    isOfThisCall: shown.changes === changes,
    judged: shown.judged === key ? 'anew' : isBusy ? 'not yet' : 'not',
  }
}
