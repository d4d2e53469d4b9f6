import { and, desc, eq, isNull, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import type { FoundVisit } from '@jokulgale/contract/records'
import type { Database } from '../db/connect'
import { entries, units, visits } from '../db/schema'
import type { Who } from '../requests/signedIn'

const retraction = alias(entries, 'retraction')

const mostFound = 40
/** Longer than anybody types to find something. */
const mostLetters = 100

/** Visits in whose words (complaints, notes, repairs, sign-offs, defects) all of these begin a word, newest first. */
export async function visitsWithWords(
  db: Database,
  { shopId, siteId }: Who,
  sought: string,
): Promise<readonly FoundVisit[]> {
  const words = sought.slice(0, mostLetters).match(/[\p{L}\p{N}]+/gu) ?? []
  if (words.length === 0) return []
  const query = words.map((word) => `${word}:*`).join(' & ')
  const said = sql<string>`coalesce(${entries.body}->>'words', '')`
  const rows = await db
    .select({ visit: entries.visitId, unit: visits.unitId, startedAt: visits.startedAt, words: said })
    .from(entries)
    .innerJoin(visits, and(eq(visits.id, entries.visitId), eq(visits.shopId, shopId)))
    .innerJoin(units, eq(units.id, visits.unitId))
    .leftJoin(
      retraction,
      sql`${retraction.body}->>'entry' = ${entries.id}::text and ${retraction.visitId} = ${entries.visitId} and ${retraction.body}->>'kind' = 'retracted'`,
    )
    .where(
      and(
        eq(entries.shopId, shopId),
        siteId === null ? undefined : eq(units.siteId, siteId),
        sql`to_tsvector('simple', ${said}) @@ to_tsquery('simple', ${query})`,
        isNull(retraction.id),
      ),
    )
    .orderBy(desc(visits.startedAt), desc(entries.sequence))
    .limit(mostFound)
  return rows.map(({ startedAt, ...row }) => ({ ...row, day: startedAt.toISOString().slice(0, 10) }))
}
