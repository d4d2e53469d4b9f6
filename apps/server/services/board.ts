import { desc, eq } from 'drizzle-orm'
import type { Board } from '@jokulgale/contract/places'
import { callSummary } from '@jokulgale/core/visit/callSummary'
import type { Database } from '../db/connect'
import { ofReadersSite } from '../db/ofReadersSite'
import { ofShop } from '../db/ofShop'
import { sites, units, visits, visitSummaries } from '../db/schema'
import type { Who } from '../requests/signedIn'
import { siteColumns, unitColumns } from './places'

const mostItems = 200
/** Of a visit whose first entries are still on a phone. */
const nothingSaid = callSummary([])

/** The shop's newest calls with what is known of each from its log; a reader's are of one site. */
export async function boardOf(db: Database, { shopId, siteId }: Who): Promise<Board> {
  const rows = await db
    .select({
      visit: visits.id,
      startedAt: visits.startedAt,
      unit: unitColumns,
      site: siteColumns,
      call: visitSummaries.call,
    })
    .from(visits)
    .innerJoin(units, ofShop(units, shopId, eq(units.id, visits.unitId)))
    .innerJoin(sites, ofShop(sites, shopId, eq(sites.id, units.siteId)))
    .leftJoin(visitSummaries, ofShop(visitSummaries, shopId, eq(visitSummaries.visitId, visits.id)))
    .where(ofShop(visits, shopId, ofReadersSite(units.siteId, siteId)))
    .orderBy(desc(visits.startedAt))
    .limit(mostItems)
  return {
    items: rows.map(({ startedAt, call, ...row }) => ({
      ...row,
      startedAt: startedAt.toISOString(),
      ...(call ?? nothingSaid),
    })),
  }
}
