import { and, desc, eq, sql } from 'drizzle-orm'
import type { Board, BoardItem } from '@jokulgale/contract/places'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { Database } from '../db/connect'
import { entries, sites, units, visits } from '../db/schema'
import type { Who } from '../requests/signedIn'
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
  const told = await db
    .select({ visit: entries.visitId, body: entries.body })
    .from(entries)
    .where(
      and(eq(entries.shopId, shopId), sql`${entries.body}->>'kind' in ('complaint', 'sign-off', 'arrived')`),
    )
    .orderBy(entries.clockWall, entries.clockCounter)
  const byVisit = new Map<string, EntryBody[]>()
  for (const { visit, body } of told) byVisit.set(visit, [...(byVisit.get(visit) ?? []), body])
  return {
    items: rows.map((row) => ({
      ...row,
      startedAt: row.startedAt.toISOString(),
      ...summary(byVisit.get(row.visit) ?? []),
    })),
  }
}

function summary(bodies: readonly EntryBody[]): Pick<BoardItem, 'complaint' | 'words' | 'state' | 'outcome'> {
  let complaint = ''
  let words = ''
  let outcome = ''
  let state: BoardItem['state'] = 'waiting'
  for (const body of bodies) {
    if (body.kind === 'complaint') {
      complaint = body.complaint
      words = body.words ?? ''
    }
    if (body.kind === 'arrived' && state === 'waiting') state = 'under-way'
    if (body.kind === 'sign-off') {
      state = 'closed'
      outcome = body.outcome
    }
  }
  return { complaint, words, state, outcome }
}
