import { and, desc, eq, sql } from 'drizzle-orm'
import type { FoundVisit } from '@jokulgale/contract/records'
import type { Database } from '../db/connect'
import { units, visits, visitSummaries } from '../db/schema'
import type { Who } from '../requests/signedIn'

const mostFound = 40
/** Longer than anybody types to find something. */
const mostLetters = 100

/** Visits in whose words (complaints, notes, repairs, sign-offs, defects) each of these begins a word, newest first. */
export async function visitsWithWords(
  db: Database,
  { shopId, siteId }: Who,
  sought: string,
): Promise<readonly FoundVisit[]> {
  const words = sought.slice(0, mostLetters).match(/[\p{L}\p{N}]+/gu) ?? []
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
    .innerJoin(visits, and(eq(visits.id, visitSummaries.visitId), eq(visits.shopId, shopId)))
    .innerJoin(units, eq(units.id, visits.unitId))
    .where(
      and(
        eq(visitSummaries.shopId, shopId),
        siteId === null ? undefined : eq(units.siteId, siteId),
        sql`to_tsvector('simple', ${visitSummaries.words}) @@ to_tsquery('simple', ${query})`,
      ),
    )
    .orderBy(desc(visits.startedAt))
    .limit(mostFound)
  return rows.map(({ visit, unit, startedAt, words: said }) => ({
    visit,
    unit,
    day: startedAt.toISOString().slice(0, 10),
    words: lineWith(said, words),
  }))
}

/** The line of a visit’s words that most of what was sought is in. */
function lineWith(said: string, sought: readonly string[]): string {
  const hits = (line: string): number =>
    sought.filter((word) => line.toLowerCase().includes(word.toLowerCase())).length
  return said.split('\n').reduce((best, line) => (hits(line) > hits(best) ? line : best))
}
