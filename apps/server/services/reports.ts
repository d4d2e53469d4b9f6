import { eq } from 'drizzle-orm'
import { gather } from '@jokulgale/core/visit/evidence'
import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { measuredStrips, type Strip } from '@jokulgale/core/diagnosis/strip'
import { reportOf, type Report } from '@jokulgale/core/visit/report'
import { foldVisit, type VisitState } from '@jokulgale/core/visit/visitState'
import type { Database } from '../db/connect'
import { people, shops } from '../db/schema'
import { notFound } from '../requests/problem'
import { entriesOf } from './entries'
import { diagramsById } from './diagrams'
import { drawnUnits, type DrawnUnit } from './logs'
import { findVisit } from './visits'

export interface VisitReport extends DrawnUnit {
  readonly report: Report
  readonly state: VisitState
  readonly day: string
}

/** A visit's report with all that goes with it. */
export async function visitReport(
  db: Database,
  shopId: string,
  id: string,
  utcOffsetMinutes = 0,
): Promise<VisitReport> {
  const visit = await findVisit(db, shopId, id)
  if (!visit) throw notFound('this visit')
  const [[unit], circuits, log, names, [shop]] = await Promise.all([
    drawnUnits(db, shopId, { unit: visit.unit }),
    diagramsById(db, shopId, [visit.diagram]),
    entriesOf(db, shopId, id, 0),
    db.select({ id: people.id, name: people.name }).from(people).where(eq(people.shopId, shopId)),
    db.select({ name: shops.name }).from(shops).where(eq(shops.id, shopId)),
  ])
  if (!unit) throw notFound('this unit')
  const drawn = { ...unit, diagram: circuits.get(visit.diagram) ?? unit.diagram }
  const state = foldVisit(log, drawn.diagram)
  return {
    ...drawn,
    state,
    report: reportOf(state, drawn.diagram, {
      shop: shop?.name ?? '',
      unit: drawn.unit,
      site: drawn.site,
      people: new Map(names.map((person) => [person.id, person.name])),
      utcOffsetMinutes,
    }),
    day: visit.startedAt.slice(0, 10),
  }
}

/** The paths that were measured, as they were at the last reading with power on before anything was repaired. */
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
