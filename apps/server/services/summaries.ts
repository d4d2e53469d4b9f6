import { asc, eq, inArray, ne, isNull, or, sql } from 'drizzle-orm'
import { faultsOf } from '@jokulgale/core/diagram/faults'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { passesByGuard } from '@jokulgale/core/diagram/guards'
import { experienceKey } from '@jokulgale/core/diagnosis/priors'
import { callSummary, summaryKinds } from '@jokulgale/core/visit/callSummary'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { entriesOf } from '@jokulgale/core/visit/fold'
import { merge, standingEntries, type Entry } from '@jokulgale/core/visit/log'
import { openMeasures, temporaryWords } from '@jokulgale/core/visit/temporary'
import { wordsOfVisit } from '@jokulgale/core/visit/visitWords'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { units, unitSummaries, visits, visitSummaries, type KeptMeasure } from '../db/schema'
import { diagramsById } from './diagrams'
import { entriesOfUnits, tellingEntries, type UnitEntry } from './logs'

type Writes = Pick<Database, 'select' | 'selectDistinct' | 'insert' | 'execute'>

/** Counted up whenever something else is made of the same log. */
const summaryVersion = 2

const measureKinds: readonly EntryBody['kind'][] = [
  'action',
  'temporary',
  'temporary-left',
  'temporary-removed',
]
const repairKinds: readonly EntryBody['kind'][] = ['repair', 'sign-off']
const summedKinds: ReadonlySet<EntryBody['kind']> = new Set([...measureKinds, ...repairKinds, 'retracted'])

/** Entries that a visit’s own summary is made of: how its call stands, and words. */
const tellsOfVisit = (body: EntryBody): boolean => 'words' in body || summaryKinds.includes(body.kind)

type Written = readonly { readonly visit: string; readonly body: EntryBody }[]

const visitsOf = (written: Written, isMeant: (body: EntryBody) => boolean): readonly string[] => [
  ...new Set(written.filter(({ body }) => isMeant(body)).map(({ visit }) => visit)),
]

/**
 * Brings what is kept of units and visits up to date with entries that have just been written, within the transaction that
 * wrote them and that no other writes the same visits beside.
 */
export async function summarise(db: Writes, shopId: string, written: Written): Promise<void> {
  const summed = visitsOf(written, ({ kind }) => summedKinds.has(kind))
  if (summed.length > 0) {
    const rows = await db
      .selectDistinct({ unit: visits.unitId })
      .from(visits)
      .where(ofShop(visits, shopId, inArray(visits.id, [...summed])))
    const unitIds = rows.map(({ unit }) => unit).sort()
    // one writer a unit: what it comes to is worked out from all of its logs
    for (const unit of unitIds)
      await db.execute(sql`select pg_advisory_xact_lock(hashtextextended(${unit}, 2))`)
    await writeSummaries(db, shopId, unitIds)
  }
  await writeVisits(db, shopId, visitsOf(written, tellsOfVisit))
}

async function writeSummaries(db: Writes, shopId: string, unitIds: readonly string[]): Promise<void> {
  const log = await entriesOfUnits(db, shopId, unitIds, [...summedKinds])
  const circuits = await diagramsById(db, shopId, [...new Set(log.map(({ diagram }) => diagram))])
  const circuitOf = new Map(log.map(({ visit, diagram }) => [visit, circuits.get(diagram)]))
  const byUnit = new Map<string, UnitEntry[]>(unitIds.map((unit) => [unit, []]))
  for (const entry of log) byUnit.get(entry.unit)?.push(entry)
  await db
    .insert(unitSummaries)
    .values(
      [...byUnit].map(([unitId, entries]) => {
        const standing = standingEntries(merge(entries))
        return {
          unitId,
          shopId,
          version: summaryVersion,
          measures: measuresIn(standing, circuitOf),
          repairs: repairsIn(standing, circuitOf),
        }
      }),
    )
    .onConflictDoUpdate({
      target: unitSummaries.unitId,
      set: {
        version: sql`excluded.version`,
        measures: sql`excluded.measures`,
        repairs: sql`excluded.repairs`,
      },
    })
}

/** The circuit that each visit began with. */
type CircuitOf = ReadonlyMap<string, Diagram | undefined>

const measuresIn = (standing: readonly Entry[], circuitOf: CircuitOf): readonly KeptMeasure[] =>
  openMeasures(standing).map((measure) => {
    const { entry, sort, of, to, left } = measure
    const circuit = circuitOf.get(entry.visit)
    return {
      id: entry.id,
      visit: entry.visit,
      sort,
      words: temporaryWords(measure),
      since: new Date(entry.clock.wall).toISOString(),
      left,
      unsafe: circuit !== undefined && passesByGuard(circuit, of, to),
    }
  })

/** Repairs of closed, proven visits, counted by kind of part and fault. */
function repairsIn(standing: readonly Entry[], circuitOf: CircuitOf): Readonly<Record<string, number>> {
  const proven = new Set(
    entriesOf(standing, 'sign-off')
      .filter(({ body }) => body.outcome === 'repaired')
      .map(({ entry }) => entry.visit),
  )
  const repairs: Record<string, number> = {}
  for (const { entry, body } of entriesOf(standing, 'repair')) {
    const circuit = circuitOf.get(entry.visit)
    if (!circuit || !proven.has(entry.visit)) continue
    const fault = faultsOf(circuit).find(({ id }) => id === body.fault)
    if (!fault) continue
    const key = experienceKey(circuit, fault)
    repairs[key] = (repairs[key] ?? 0) + 1
  }
  return repairs
}

async function writeVisits(db: Writes, shopId: string, visitIds: readonly string[]): Promise<void> {
  if (visitIds.length === 0) return
  const byVisit = new Map<string, Entry[]>(visitIds.map((visit) => [visit, []]))
  for (const entry of await tellingEntries(db, shopId, visitIds, summaryKinds))
    byVisit.get(entry.visit)?.push(entry)
  await db
    .insert(visitSummaries)
    .values(
      [...byVisit].map(([visitId, log]) => ({
        visitId,
        shopId,
        call: callSummary(log),
        words: wordsOfVisit(merge(log)).join('\n'),
      })),
    )
    .onConflictDoUpdate({
      target: visitSummaries.visitId,
      set: { call: sql`excluded.call`, words: sql`excluded.words` },
    })
}

/** Units whose summaries are made anew at once. */
const unitsAtOnce = 50

/** Makes anew whatever this version of the program would keep otherwise, or has never seen. Gives the number of units. */
export async function bringSummariesUpToDate(db: Database): Promise<number> {
  let made = 0
  for (;;) {
    const stale = await db
      .select({ unit: units.id, shop: units.shopId })
      .from(units)
      .leftJoin(unitSummaries, eq(unitSummaries.unitId, units.id))
      .where(or(isNull(unitSummaries.unitId), ne(unitSummaries.version, summaryVersion)))
      .orderBy(asc(units.shopId))
      .limit(unitsAtOnce)
    const [first] = stale
    if (!first) return made
    const unitIds = stale.filter(({ shop }) => shop === first.shop).map(({ unit }) => unit)
    await db.transaction(async (transaction) => {
      await writeSummaries(transaction, first.shop, unitIds)
      const rows = await transaction
        .select({ visit: visits.id })
        .from(visits)
        .where(ofShop(visits, first.shop, inArray(visits.unitId, unitIds)))
      await writeVisits(
        transaction,
        first.shop,
        rows.map(({ visit }) => visit),
      )
    })
    made += unitIds.length
  }
}
