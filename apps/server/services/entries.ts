import { asc, eq, gt, inArray, sql } from 'drizzle-orm'
import type { SentEntry, StoredEntry } from '@jokulgale/contract/visit'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import { entryProblem } from '@jokulgale/core/visit/checkEntry'
import type { Entry } from '@jokulgale/core/visit/log'
import { stillMovesIn } from '@jokulgale/core/visit/lateMovesIn'
import { signOffProblems } from '@jokulgale/core/visit/signOff'
import type { VisitState } from '@jokulgale/core/visit/visitState'
import { leavingProblems } from '@jokulgale/core/visit/leaving'
import { closingProblems, foldVisit } from '@jokulgale/core/visit/visitState'
import { clockColumns, clockOf } from '../db/clockColumns'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { diagrams, entries, visits } from '../db/schema'
import { notFound, RequestProblem } from '../requests/problem'
import type { Who } from '../requests/signedIn'
import { summarise } from './summaries'

const pageSize = 5000

/** Entries of a visit after a place in the server's sequence, oldest first. */
export async function entriesOf(
  db: Database,
  shopId: string,
  visit: string,
  after: number,
): Promise<readonly StoredEntry[]> {
  const rows = await db
    .select()
    .from(entries)
    .where(ofShop(entries, shopId, eq(entries.visitId, visit), gt(entries.sequence, after)))
    .orderBy(asc(entries.sequence))
    .limit(pageSize)
  return rows.map((row) => ({
    id: row.id,
    visit: row.visitId,
    by: row.personId,
    body: row.body,
    sequence: row.sequence,
    clock: clockOf(row),
  }))
}

/**
 * Stores entries, each once however often it is sent; all or none. Gives the identities that are now kept.
 */
export async function storeEntries(
  db: Database,
  who: Who,
  sent: readonly SentEntry[],
): Promise<readonly string[]> {
  const diagramOf = await diagramsOfVisits(db, who.shopId, [...new Set(sent.map(({ visit }) => visit))])
  const fields = sent.flatMap((entry, k) => {
    const diagram = diagramOf.get(entry.visit)
    if (!diagram) throw notFound(`visit ${entry.visit}`)
    const problem = entryProblem(diagram, entry.body)
    return problem === '' ? [] : [{ field: `entries[${k}].body`, message: problem }]
  })
  if (fields.length > 0) throw new RequestProblem(422, { error: 'an entry does not fit its unit', fields })
  const ids = sent.map(({ id }) => id)
  return db.transaction(async (transaction) => {
    // numbers are handed out before they are seen: held to one writer a visit, a reader never passes over one
    for (const visit of [...diagramOf.keys()].sort())
      await transaction.execute(sql`select pg_advisory_xact_lock(hashtextextended(${visit}, 0))`)
    const untrue = await untrueSignOffs(transaction, who.shopId, sent, diagramOf)
    if (untrue.length > 0)
      throw new RequestProblem(422, { error: 'a sign-off says what the log does not', fields: untrue })
    await transaction
      .insert(entries)
      .values(
        sent.map(({ id, visit, clock, body }) => ({
          id,
          shopId: who.shopId,
          visitId: visit,
          personId: who.personId,
          body,
          ...clockColumns(clock),
        })),
      )
      .onConflictDoNothing()
    const kept = await transaction
      .select({ id: entries.id })
      .from(entries)
      .where(
        ofShop(
          entries,
          who.shopId,
          inArray(entries.id, ids),
          inArray(entries.visitId, [...diagramOf.keys()]),
        ),
      )
    if (kept.length !== new Set(ids).size)
      throw new RequestProblem(409, {
        error: 'an entry with one of these ids exists elsewhere; take new ids',
      })
    await summarise(transaction, who.shopId, sent)
    return kept.map(({ id }) => id)
  })
}

/**
 * A visit is signed off as repaired only where its log, all that is sent with it included, says so; as left
 * restricted or off only with who was told and until when.
 */
async function untrueSignOffs(
  db: Pick<Database, 'select'>,
  shopId: string,
  sent: readonly SentEntry[],
  diagramOf: ReadonlyMap<string, Diagram>,
): Promise<readonly { readonly field: string; readonly message: string }[]> {
  const fields: { readonly field: string; readonly message: string }[] = []
  // a visit's log is read and folded once, however many sign-offs are sent for it
  const logs = new Map<string, { readonly stored: ReadonlySet<string>; readonly state: VisitState }>()
  for (const [k, { id, visit, body }] of sent.entries()) {
    const diagram = diagramOf.get(visit)
    if (body.kind !== 'sign-off' || !diagram) continue
    const log = logs.get(visit) ?? (await withSent(db, shopId, visit, sent, diagram))
    logs.set(visit, log)
    if (log.stored.has(id)) continue
    const [problem] =
      body.outcome === 'repaired'
        ? // a phone says only what it knew of delays
          signOffProblems(log.state, diagram, stillMovesIn(diagram))
        : [...leavingProblems(body), ...closingProblems(log.state)]
    if (problem !== undefined) fields.push({ field: `entries[${k}].body`, message: problem })
  }
  return fields
}

/** What of a visit's log is stored, and what the log comes to with what is sent for it. */
async function withSent(
  db: Pick<Database, 'select'>,
  shopId: string,
  visit: string,
  sent: readonly SentEntry[],
  diagram: Diagram,
): Promise<{ readonly stored: ReadonlySet<string>; readonly state: VisitState }> {
  const stored = await loggedOf(db, shopId, visit)
  const together = sent.filter((entry) => entry.visit === visit).map((entry) => ({ ...entry, by: '' }))
  return {
    stored: new Set(stored.map(({ id }) => id)),
    state: foldVisit([...stored, ...together], diagram),
  }
}

/** The whole log of a visit. */
async function loggedOf(
  db: Pick<Database, 'select'>,
  shopId: string,
  visit: string,
): Promise<readonly Entry[]> {
  const rows = await db
    .select()
    .from(entries)
    .where(ofShop(entries, shopId, eq(entries.visitId, visit)))
  return rows.map((row) => ({
    id: row.id,
    visit: row.visitId,
    by: row.personId,
    body: row.body,
    clock: clockOf(row),
  }))
}

async function diagramsOfVisits(
  db: Database,
  shopId: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Diagram>> {
  const rows = await db
    .select({ visit: visits.id, ladder: diagrams.ladder })
    .from(visits)
    .innerJoin(diagrams, ofShop(diagrams, shopId, eq(diagrams.id, visits.diagramId)))
    .where(ofShop(visits, shopId, inArray(visits.id, [...ids])))
  return new Map(rows.map(({ visit, ladder }) => [visit, knownLadder(ladder)]))
}
