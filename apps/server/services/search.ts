import { desc, eq, sql } from 'drizzle-orm'
import type { FoundVisit } from '@jokulgale/contract/records'
import { lineFound, wordsSought } from '@jokulgale/core/visit/visitWords'
import type { Database } from '../db/connect'
import { ofReadersSite } from '../db/ofReadersSite'
import { ofShop } from '../db/ofShop'
import { units, visits, visitSummaries } from '../db/schema'
import type { Who } from '../requests/signedIn'

const mostFound = 40

/** Visits in whose words (complaints, notes, repairs, sign-offs, defects) each of these begins a word, newest first. */
export async function visitsWithWords(
  db: Database,
  { shopId, siteId }: Who,
  sought: string,
): Promise<readonly FoundVisit[]> {
  const words = wordsSought(sought)
  if (words.length === 0) return []
  const query = words.map((word) => `${word}:*`).join(' & ')
  const rows = await db
    .select({
      visit: visits.id,
      unit: visits.unitId,
      startedAt: visits.startedAt,
      words: visitSummaries.words,
    })
    .from(visitSummaries)
    .innerJoin(visits, ofShop(visits, shopId, eq(visits.id, visitSummaries.visitId)))
    .innerJoin(units, ofShop(units, shopId, eq(units.id, visits.unitId)))
    .where(
      ofShop(
        visitSummaries,
        shopId,
        ofReadersSite(units.siteId, siteId),
        sql`to_tsvector('simple', ${visitSummaries.words}) @@ to_tsquery('simple', ${query})`,
      ),
    )
    .orderBy(desc(visits.startedAt))
    .limit(mostFound)
  return rows.map(({ visit, unit, startedAt, words: said }) => ({
    visit,
    unit,
    day: startedAt.toISOString().slice(0, 10),
    words: lineFound(said.split('\n'), words) ?? said.split('\n')[0],
  }))
}
