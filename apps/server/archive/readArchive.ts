import { randomBytes } from 'node:crypto'
import { hash } from '@node-rs/argon2'
import { eq, sql } from 'drizzle-orm'
import { ValidationError } from 'yup'
import { DiagramError, readLadder } from '@jokulgale/core/diagram/readLadder'
import type { PlaceEdit, PlaceKind } from '@jokulgale/core/places/placeEdit'
import { changeProblems } from '@jokulgale/core/places/placeProblems'
import { entryBodySchema } from '@jokulgale/core/visit/entrySchema'
import { clockColumns } from '../db/clockColumns'
import type { Database } from '../db/connect'
import { diagrams, entries, people, photos, placeEdits, securityEvents, shops, visits } from '../db/schema'
import { RequestProblem } from '../requests/problem'
import { keepBuiltInDiagrams } from '../services/builtInDiagrams'
import { bringPlacesUpToDate } from '../services/placeEdits'
import { archiveRows } from './archiveRows'
import { ArchiveError, type OpenArchive } from './openArchive'
import type {
  CircuitRow,
  EntryRow,
  PersonRow,
  PhotoRow,
  PlaceEditRow,
  SecurityRow,
  ShopRow,
  VisitRow,
} from './rows'

type Writes = Pick<Database, 'select' | 'insert' | 'update' | 'execute'>

/** What was brought in. */
export interface BroughtIn {
  readonly shopId: string
  readonly name: string
  readonly counts: Readonly<Record<string, number>>
}

/**
 * Makes a shop of an archive, in a house that has none yet: all of it or nothing. Its people come without passwords.
 * Throws ArchiveError with file, line and reason.
 */
export async function readArchive(
  db: Pick<Database, 'transaction'>,
  archive: OpenArchive,
): Promise<BroughtIn> {
  const [shop] = await collected(archiveRows<ShopRow>(archive, 'shop'))
  if (!shop) throw new ArchiveError('shop.json is empty')
  try {
    return await db.transaction((transaction) => brought(transaction, archive, shop))
  } catch (error) {
    if (error instanceof RequestProblem) throw new ArchiveError(`place-edits.jsonl: ${saidBy(error)}`)
    throw referenceProblem(error) ?? error
  }
}

async function brought(db: Writes, archive: OpenArchive, { id: shopId, name }: ShopRow): Promise<BroughtIn> {
  await db.execute(sql`SELECT pg_advisory_xact_lock(7203116)`)
  const [known] = await db.select({ id: shops.id }).from(shops).limit(1)
  if (known) throw new ArchiveError('there is a shop here already; bring the archive into an empty house')
  await db.insert(shops).values({ id: shopId, name })
  // nobody can know this one: each chooses a password by a link
  const passwordHash = await hash(randomBytes(32).toString('base64'))
  const everybody = await collected(archiveRows<PersonRow>(archive, 'people'))
  const counts = {
    people: await inBatches(everybody, async (rows) => {
      await db.insert(people).values(
        rows.map(({ id, closedAt, email, role, name: called, licence = '' }) => ({
          id,
          licence,
          shopId,
          role,
          passwordHash,
          name: called,
          email: email.toLowerCase(),
          closedAt: date(closedAt),
        })),
      )
    }),
    circuits: await inBatches(archiveRows<CircuitRow>(archive, 'circuits'), async (rows) => {
      await db.insert(diagrams).values(
        rows.map(({ id, ladder, follows, why = '', madeBy, madeAt }) => ({
          id,
          shopId,
          ladder,
          follows,
          why,
          madeBy,
          title: titleOf(id, ladder),
          madeAt: new Date(madeAt),
        })),
      )
    }),
    'place-edits': await placesBrought(db, shopId, archive),
    visits: await inBatches(archiveRows<VisitRow>(archive, 'visits'), async (rows) => {
      await db.insert(visits).values(
        rows.map(({ id, unit, circuit, startedBy, startedAt }) => ({
          id,
          shopId,
          startedBy,
          unitId: unit,
          diagramId: circuit,
          startedAt: new Date(startedAt),
        })),
      )
    }),
    entries: await inBatches(archiveRows<EntryRow>(archive, 'entries'), async (rows) => {
      rows.forEach(checkBody)
      await db.insert(entries).values(
        rows.map(({ id, visit, by, body, clock, receivedAt }) => ({
          id,
          shopId,
          body,
          visitId: visit,
          personId: by,
          receivedAt: new Date(receivedAt),
          ...clockColumns(clock),
        })),
      )
    }),
    photos: await photosBrought(db, shopId, archive),
    security: await inBatches(archiveRows<SecurityRow>(archive, 'security'), async (rows) => {
      await db
        .insert(securityEvents)
        .values(
          rows.map(({ by, what, about, at }) => ({ shopId, personId: by, what, about, at: new Date(at) })),
        )
    }),
  }
  // readers see one site: it is there now
  for (const { id, site } of everybody)
    if (site !== null) await db.update(people).set({ siteId: site }).where(eq(people.id, id))
  await keepBuiltInDiagrams(db, shopId)
  return { shopId, name, counts }
}

const saidBy = ({ problem: { error, fields = [] } }: RequestProblem): string =>
  [error, ...fields.map(({ field, message }) => `${field}: ${message}`)].join('; ')

const date = (text: string | null): Date | null => (text === null ? null : new Date(text))

const batch = 500

/** Hands rows on in batches; gives how many there were. */
async function inBatches<Row>(
  rows: AsyncIterable<Row> | Iterable<Row>,
  keep: (rows: readonly Row[]) => Promise<void>,
): Promise<number> {
  let count = 0
  let waiting: Row[] = []
  const flush = async (): Promise<void> => {
    if (waiting.length > 0) await keep(waiting)
    count += waiting.length
    waiting = []
  }
  for await (const row of rows) {
    waiting.push(row)
    if (waiting.length >= batch) await flush()
  }
  await flush()
  return count
}

async function collected<Row>(rows: AsyncIterable<Row>): Promise<readonly Row[]> {
  const all: Row[] = []
  for await (const row of rows) all.push(row)
  return all
}

function titleOf(id: string, ladder: string): string {
  try {
    return readLadder(ladder).title
  } catch (error) {
    if (error instanceof DiagramError)
      throw new ArchiveError(`circuits.jsonl, circuit ${id}: ${error.message}`)
    throw error
  }
}

function checkBody({ id, body }: EntryRow): void {
  try {
    entryBodySchema.validateSync(body, { strict: true })
  } catch (error) {
    if (error instanceof ValidationError)
      throw new ArchiveError(`entries.jsonl, entry ${id}: ${error.message}`)
    throw error
  }
}

/** The edits are kept, and the sites and units made that follow from them: sites before the units on them. */
async function placesBrought(db: Writes, shopId: string, archive: OpenArchive): Promise<number> {
  const edits: Record<PlaceKind, PlaceEdit[]> = { site: [], unit: [] }
  const count = await inBatches(archiveRows<PlaceEditRow>(archive, 'place-edits'), async (rows) => {
    for (const { id, of, changes } of rows) {
      const [problem] = changeProblems(of, changes)
      if (problem)
        throw new ArchiveError(`place-edits.jsonl, edit ${id}: ${problem.field}: ${problem.message}`)
    }
    await db.insert(placeEdits).values(
      rows.map(({ id, by, of, place, changes, clock, receivedAt }) => ({
        id,
        shopId,
        of,
        changes,
        personId: by,
        placeId: place,
        receivedAt: new Date(receivedAt),
        ...clockColumns(clock),
      })),
    )
    for (const { id, of, place, changes, clock } of rows) edits[of].push({ id, of, place, changes, clock })
  })
  for (const of of ['site', 'unit'] as const)
    await inBatches(edits[of], (some) => bringPlacesUpToDate(db, shopId, some))
  return count
}

const mostPictureBytes = 25_000_000

/** Pictures as they are in the archive; they are decoded and written anew before they go on paper. */
async function photosBrought(db: Writes, shopId: string, archive: OpenArchive): Promise<number> {
  let count = 0
  for await (const { id, visit, by, type, takenAt, receivedAt, file } of archiveRows<PhotoRow>(
    archive,
    'photos',
  )) {
    const image = await bytesOf(archive, file)
    await db.insert(photos).values({
      id,
      shopId,
      type,
      image,
      visitId: visit,
      personId: by,
      writtenAnew: false,
      takenAt: date(takenAt),
      receivedAt: new Date(receivedAt),
    })
    count += 1
  }
  return count
}

async function bytesOf(archive: OpenArchive, file: string): Promise<Buffer> {
  const chunks: Buffer[] = []
  let length = 0
  for await (const chunk of await archive.read(file)) {
    const piece = Buffer.from(chunk as Uint8Array)
    length += piece.length
    if (length > mostPictureBytes) throw new ArchiveError(`${file} is larger than any picture of a visit`)
    chunks.push(piece)
  }
  return Buffer.concat(chunks)
}

/** What PostgreSQL says where a row names one that is not there, or is there twice. */
function referenceProblem(error: unknown): ArchiveError | null {
  const cause = error instanceof Error && 'cause' in error ? error.cause : error
  if (!(cause instanceof Error && 'code' in cause && 'detail' in cause)) return null
  if (cause.code !== '23503' && cause.code !== '23505') return null
  return new ArchiveError(`the archive does not fit together: ${String(cause.detail)}`)
}
