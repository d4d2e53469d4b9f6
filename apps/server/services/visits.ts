import { desc, eq } from 'drizzle-orm'
import type { NewVisit, Visit } from '@jokulgale/contract/visit'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { units, visits } from '../db/schema'
import { notFound, RequestProblem } from '../requests/problem'
import type { Who } from '../requests/signedIn'
import { findDiagram } from './diagrams'

const columns = {
  id: visits.id,
  unit: visits.unitId,
  diagram: visits.diagramId,
  startedAt: visits.startedAt,
  startedBy: visits.startedBy,
}
const shown = (row: Omit<Visit, 'startedAt'> & { startedAt: Date }): Visit => ({
  ...row,
  startedAt: row.startedAt.toISOString(),
})

export async function findVisit(db: Database, shopId: string, id: string): Promise<Visit | null> {
  const [row] = await db
    .select(columns)
    .from(visits)
    .where(ofShop(visits, shopId, eq(visits.id, id)))
  return row ? shown(row) : null
}

/**
 * Starts a visit under the identity that the device gave it; sent twice, it is one visit. It keeps the version of the
 * circuit that the device had, else the one that the unit has now.
 */
export async function startVisit(
  db: Database,
  who: Who,
  { id, unit, diagram }: NewVisit,
): Promise<{ visit: Visit; isNew: boolean }> {
  const [known] = await db
    .select({ id: units.id, diagram: units.diagramId })
    .from(units)
    .where(ofShop(units, who.shopId, eq(units.id, unit)))
  if (!known) throw notFound('this unit')
  const diagramId = diagram === undefined ? known.diagram : (await findDiagram(db, who.shopId, diagram)).id
  const added = await db
    .insert(visits)
    .values({ id, unitId: unit, diagramId, shopId: who.shopId, startedBy: who.personId })
    .onConflictDoNothing()
    .returning(columns)
  const visit = await findVisit(db, who.shopId, id)
  if (!visit || visit.unit !== unit)
    throw new RequestProblem(409, { error: 'a visit with this id exists already; take a new id' })
  return { visit, isNew: added.length > 0 }
}

export async function visitsOfUnit(db: Database, shopId: string, unit: string): Promise<readonly Visit[]> {
  const rows = await db
    .select(columns)
    .from(visits)
    .where(ofShop(visits, shopId, eq(visits.unitId, unit)))
    .orderBy(desc(visits.startedAt))
    .limit(100)
  return rows.map(shown)
}
