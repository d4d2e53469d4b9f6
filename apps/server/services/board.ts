import { and, desc, eq } from 'drizzle-orm'
import type { Board } from '@jokulgale/contract/places'
import { callSummary, summaryKinds } from '@jokulgale/core/visit/callSummary'
import type { Database } from '../db/connect'
import { sites, units, visits } from '../db/schema'
import type { Who } from '../requests/signedIn'
import { entriesOfVisits, type UnitEntry } from './logs'
import { siteColumns, unitColumns } from './places'

const mostItems = 200

/** The shop's newest calls with what is known of each from its log; a reader's are of one site. */
export async function boardOf(db: Database, { shopId, siteId }: Who): Promise<Board> {
  const rows = await db
    .select({ visit: visits.id, startedAt: visits.startedAt, unit: unitColumns, site: siteColumns })
    .from(visits)
    .innerJoin(units, and(eq(units.id, visits.unitId), eq(units.shopId, shopId)))
    .innerJoin(sites, and(eq(sites.id, units.siteId), eq(sites.shopId, shopId)))
    .where(and(eq(visits.shopId, shopId), siteId === null ? undefined : eq(units.siteId, siteId)))
    .orderBy(desc(visits.startedAt))
    .limit(mostItems)
  const log = await entriesOfVisits(
    db,
    shopId,
    rows.map(({ visit }) => visit),
    summaryKinds,
  )
  const byVisit = new Map<string, UnitEntry[]>()
  for (const entry of log) byVisit.set(entry.visit, [...(byVisit.get(entry.visit) ?? []), entry])
  return {
    items: rows.map((row) => ({
      ...row,
      startedAt: row.startedAt.toISOString(),
      ...callSummary(byVisit.get(row.visit) ?? []),
    })),
  }
}
