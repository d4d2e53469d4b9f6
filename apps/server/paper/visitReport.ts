import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { measuredStrips, type Strip } from '@jokulgale/core/diagnosis/strip'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import { gather } from '@jokulgale/core/visit/evidence'
import type { Entry } from '@jokulgale/core/visit/log'
import { reportOf, type Report } from '@jokulgale/core/visit/report'
import { foldVisit, type VisitState } from '@jokulgale/core/visit/visitState'
import type { SiteRecord, UnitRecord } from '@jokulgale/contract/places'

/** All that a visit's report is made of, as plain data that crosses to another thread. */
export interface VisitPapers {
  readonly log: readonly Entry[]
  readonly ladder: string
  readonly unit: UnitRecord
  readonly site: SiteRecord
  readonly shop: string
  readonly people: ReadonlyMap<string, string>
  readonly utcOffsetMinutes: number
  readonly day: string
}

export interface VisitReport {
  readonly unit: UnitRecord
  readonly site: SiteRecord
  readonly diagram: Diagram
  readonly report: Report
  readonly state: VisitState
  readonly day: string
}

/** A visit's report with all that goes with it. */
export function visitReport(papers: VisitPapers): VisitReport {
  const { log, ladder, unit, site, shop, people, utcOffsetMinutes, day } = papers
  const diagram = knownLadder(ladder)
  const state = foldVisit(log, diagram)
  const report = reportOf(state, diagram, { shop, unit, site, people, utcOffsetMinutes })
  return { unit, site, diagram, state, report, day }
}

/**
 * The paths that were measured, as they were at the last reading with power on before anything was repaired.
 */
export function stripsAsFound({ state, diagram }: VisitReport): readonly Strip[] {
  const repaired = state.entries.findIndex(({ body }) => body.kind === 'repair')
  const before = repaired < 0 ? state.entries : state.entries.slice(0, repaired)
  const live = new Set(state.readings.filter(({ power }) => power === 'on').map(({ entry }) => entry.id))
  const last = before.findLastIndex(({ id }) => live.has(id))
  if (last < 0) return []
  const entries = before.slice(0, last + 1).map(({ body }) => body)
  const findings = gather(diagram, { complaint: state.complaint, entries })
  return measuredStrips(modelOf(diagram), findings).filter(({ stops }) =>
    stops.some(({ measured }) => measured !== null),
  )
}
