import { useCallback, useEffect, useMemo } from 'react'
import type { SiteRecord, UnitRecord } from '@jokulgale/contract/places'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { foldVisit, type VisitState } from '@jokulgale/core/visit/visitState'
import { useAppSelector } from '../store'
import type { KeptEntry } from '../sync/device'
import { useSync } from '../sync/SyncContext'
import { openAhead } from '../../workers/diagnosis'

export interface OpenVisit {
  readonly id: string
  readonly unit: UnitRecord
  readonly site: SiteRecord
  readonly ladder: string
  readonly diagram: Diagram
  readonly state: VisitState
  readonly bodies: readonly EntryBody[]
  readonly say: (body: EntryBody, kept?: (entry: string) => void) => Promise<string>
}

const nothing: readonly KeptEntry[] = []
/** A visit with its unit, folded from its log; null until it and its unit are known here. */
export function useVisit(id: string): OpenVisit | null {
  const sync = useSync()
  const visit = useAppSelector((state) => state.visits.visits[id])
  const log = useAppSelector((state) => state.visits.logs[id]) ?? nothing
  const places = useAppSelector((state) => state.places.places)
  useEffect(() => {
    void sync.openVisit(id)
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void sync.openVisit(id)
    }, 20_000)
    return () => {
      clearInterval(timer)
    }
  }, [sync, id])
  const say = useCallback<OpenVisit['say']>((body, kept) => sync.say(id, body, kept), [sync, id])
  // an entry never changes: that the server has it now makes no other visit
  const said = log.map((entry) => entry.id).join(' ')
  const unit = places?.units.find((candidate) => candidate.id === visit?.unit)
  const site = places?.sites.find((candidate) => candidate.id === unit?.site)
  const version = visit?.diagram || unit?.diagram
  const ladder = places?.diagrams.find(({ id: known }) => known === version)?.ladder
  openAhead(ladder)
  const diagram = ladder === undefined ? null : knownLadder(ladder)
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const state = useMemo(() => (diagram ? foldVisit(log, diagram) : null), [said, diagram])
  return useMemo(
    () =>
      unit && site && ladder !== undefined && diagram && state
        ? { id, unit, site, ladder, diagram, state, bodies: state.entries.map(({ body }) => body), say }
        : null,
    [id, unit, site, ladder, diagram, state, say],
  )
}
