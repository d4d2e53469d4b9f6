import { PassThrough, Readable } from 'node:stream'
import { asc, eq, gt } from 'drizzle-orm'
import { ZipFile } from 'yazl'
import { clockOf } from '../db/clockColumns'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { diagrams, entries, people, photos, placeEdits, securityEvents, shops, visits } from '../db/schema'
import { notFound } from '../requests/problem'
import {
  archiveFormat,
  archiveVersion,
  type CircuitRow,
  type EntryRow,
  type PersonRow,
  type PhotoRow,
  type PlaceEditRow,
  type SecurityRow,
  type ShopRow,
  type VisitRow,
} from './rows'
import { archiveSchemas } from './schemas'

type Reads = Pick<Database, 'select'>

const pageSize = 1000

/**
 * Everything of a shop in one ZIP archive: a JSON line a row, pictures beside, and the schemas of both. Read from one
 * moment of the database, page by page; the stream fails where the database does. Throws RequestProblem (404).
 */
export async function writeArchive(db: Database, shopId: string): Promise<Readable> {
  const [shop] = await db.select().from(shops).where(eq(shops.id, shopId))
  if (!shop) throw notFound('this shop')
  const out = new PassThrough()
  const written = db.transaction((transaction) => zipped(transaction, shop, out), {
    isolationLevel: 'repeatable read',
    accessMode: 'read only',
  })
  written.catch((error: unknown) => out.destroy(error instanceof Error ? error : new Error(String(error))))
  return out
}

async function zipped(db: Reads, shop: { id: string; name: string }, out: PassThrough): Promise<void> {
  const zip = new ZipFile()
  const failed = new Promise<never>((_, reject) => {
    zip.on('error', reject)
    out.on('error', reject)
  })
  const add = (name: string, content: AsyncIterable<string | Buffer>): void => {
    const stream = Readable.from(content, { objectMode: false })
    stream.on('error', (error) => zip.emit('error', error))
    zip.addReadStream(stream, name)
  }
  const head: ShopRow = { format: archiveFormat, version: archiveVersion, id: shop.id, name: shop.name }
  add('shop.json', once(`${JSON.stringify(head)}\n`))
  for (const [name, schema] of Object.entries(archiveSchemas))
    add(`schemas/${name}.schema.json`, once(`${JSON.stringify(schema, null, 2)}\n`))
  const tables = {
    people: peopleOf,
    circuits: circuitsOf,
    'place-edits': placeEditsOf,
    visits: visitsOf,
    entries: entriesOf,
    photos: photosOf,
    security: securityOf,
  }
  for (const [name, rows] of Object.entries(tables)) add(`${name}.jsonl`, lines(rows(db, shop.id)))
  for await (const { id, file } of photosOf(db, shop.id)) add(file, imageOf(db, shop.id, id))
  zip.end()
  const ended = new Promise<void>((resolve) => out.on('finish', resolve))
  zip.outputStream.pipe(out)
  await Promise.race([ended, failed])
}

async function* once(text: string): AsyncIterable<string> {
  yield text
}

async function* lines(rows: AsyncIterable<object>): AsyncIterable<string> {
  for await (const row of rows) yield `${JSON.stringify(row)}\n`
}

const atMoment = (date: Date): string => date.toISOString()

/** Rows page by page: each page is of those after the last key of the one before. */
async function* paged<Row, Key>(
  page: (after: Key | null) => Promise<readonly Row[]>,
  keyOf: (row: Row) => Key,
): AsyncIterable<Row> {
  let after: Key | null = null
  for (;;) {
    const rows: readonly Row[] = await page(after)
    yield* rows
    if (rows.length < pageSize) return
    after = keyOf(rows[rows.length - 1])
  }
}

async function* peopleOf(db: Reads, shopId: string): AsyncIterable<PersonRow> {
  const rows = await db.select().from(people).where(ofShop(people, shopId)).orderBy(asc(people.id))
  for (const { id, name, email, role, siteId, licence, closedAt } of rows)
    yield { id, name, email, role, site: siteId, licence, closedAt: closedAt && atMoment(closedAt) }
}

async function* circuitsOf(db: Reads, shopId: string): AsyncIterable<CircuitRow> {
  const rows = paged(
    (after: string | null) =>
      db
        .select()
        .from(diagrams)
        .where(ofShop(diagrams, shopId, after === null ? undefined : gt(diagrams.id, after)))
        .orderBy(asc(diagrams.id))
        .limit(pageSize),
    ({ id }) => id,
  )
  for await (const { id, title, ladder, follows, why, madeBy, madeAt } of rows)
    yield { id, title, ladder, follows, why, madeBy, madeAt: atMoment(madeAt) }
}

async function* placeEditsOf(db: Reads, shopId: string): AsyncIterable<PlaceEditRow> {
  const rows = paged(
    (after: number | null) =>
      db
        .select()
        .from(placeEdits)
        .where(ofShop(placeEdits, shopId, gt(placeEdits.sequence, after ?? -1)))
        .orderBy(asc(placeEdits.sequence))
        .limit(pageSize),
    ({ sequence }) => sequence,
  )
  for await (const row of rows) {
    const { id, personId, of, placeId, changes, receivedAt } = row
    yield {
      id,
      by: personId,
      of,
      place: placeId,
      changes,
      clock: clockOf(row),
      receivedAt: atMoment(receivedAt),
    }
  }
}

async function* visitsOf(db: Reads, shopId: string): AsyncIterable<VisitRow> {
  const rows = paged(
    (after: string | null) =>
      db
        .select()
        .from(visits)
        .where(ofShop(visits, shopId, after === null ? undefined : gt(visits.id, after)))
        .orderBy(asc(visits.id))
        .limit(pageSize),
    ({ id }) => id,
  )
  for await (const { id, unitId, diagramId, startedBy, startedAt } of rows)
    yield { id, unit: unitId, circuit: diagramId, startedBy, startedAt: atMoment(startedAt) }
}

async function* entriesOf(db: Reads, shopId: string): AsyncIterable<EntryRow> {
  const rows = paged(
    (after: number | null) =>
      db
        .select()
        .from(entries)
        .where(ofShop(entries, shopId, gt(entries.sequence, after ?? -1)))
        .orderBy(asc(entries.sequence))
        .limit(pageSize),
    ({ sequence }) => sequence,
  )
  for await (const row of rows) {
    const { id, visitId, personId, body, receivedAt } = row
    yield { id, visit: visitId, by: personId, clock: clockOf(row), body, receivedAt: atMoment(receivedAt) }
  }
}

async function* photosOf(db: Reads, shopId: string): AsyncIterable<PhotoRow> {
  const rows = await db
    .select({
      id: photos.id,
      visit: photos.visitId,
      by: photos.personId,
      type: photos.type,
      takenAt: photos.takenAt,
      receivedAt: photos.receivedAt,
    })
    .from(photos)
    .where(ofShop(photos, shopId))
    .orderBy(asc(photos.id))
  for (const { takenAt, receivedAt, ...row } of rows)
    yield {
      ...row,
      takenAt: takenAt && atMoment(takenAt),
      receivedAt: atMoment(receivedAt),
      file: `photos/${row.id}`,
    }
}

/** A picture is fetched when its turn in the archive has come: one at a time is in memory. */
async function* imageOf(db: Reads, shopId: string, id: string): AsyncIterable<Buffer> {
  const [photo] = await db
    .select({ image: photos.image })
    .from(photos)
    .where(ofShop(photos, shopId, eq(photos.id, id)))
  if (photo) yield photo.image
}

async function* securityOf(db: Reads, shopId: string): AsyncIterable<SecurityRow> {
  const rows = paged(
    (after: number | null) =>
      db
        .select()
        .from(securityEvents)
        .where(ofShop(securityEvents, shopId, gt(securityEvents.sequence, after ?? -1)))
        .orderBy(asc(securityEvents.sequence))
        .limit(pageSize),
    ({ sequence }) => sequence,
  )
  for await (const { personId, what, about, at } of rows)
    yield { by: personId, what, about, at: atMoment(at) }
}
