import { writeFile } from 'node:fs/promises'
import path from 'node:path'
import { buffer } from 'node:stream/consumers'
import { TransactionRollbackError } from 'drizzle-orm'
import { fromBuffer } from 'yauzl'
import { ZipFile } from 'yazl'
import { connect, type Database } from '../db/connect'
import { migrateDatabase } from '../db/migrate'
import { shops } from '../db/schema'
import { ArchiveError, openArchive } from './openArchive'
import { readArchive } from './readArchive'

/** What draws and makes changes of what was right. */
export interface Spoiling {
  readonly below: (limit: number) => number
  readonly chance: (oneIn: number) => boolean
  readonly choose: <T>(all: readonly T[]) => T
  readonly changedText: (text: string) => string
  readonly changedValue: (value: unknown) => unknown
}

/** What is tried, and where. */
export interface Trials {
  /** A database of its own, that may be emptied. */
  readonly databaseUrl: string
  readonly migrations: string
  /** A right archive of a shop. */
  readonly archive: Buffer
  /** Where spoiled ones are written to. */
  readonly folder: string
  readonly count: number
  readonly spoiling: Spoiling
  /** Told how many have been tried, after each thousand: a run of twenty thousand takes most of an hour. */
  readonly onProgress: (tried: number, soFar: Tally) => void
}

/** What became of the archives that were tried. */
interface Tally {
  readonly accepted: number
  readonly refused: number
  readonly slowest: number
  readonly wrong: readonly string[]
}

/**
 * Brings spoiled archives into an empty house, one after the other; each is in whole, or refused and leaves
 * nothing.
 */
export async function fuzzArchives(trials: Trials): Promise<Tally> {
  const { databaseUrl, migrations, folder, count, spoiling } = trials
  const { db, pool } = connect(databaseUrl, () => undefined)
  await migrateDatabase(pool, migrations)
  const files = await filesOf(trials.archive)
  const file = path.join(folder, 'spoiled.zip')
  let accepted = 0
  let refused = 0
  let slowest = 0
  const wrong: string[] = []
  for (let k = 0; k < count; k++) {
    await writeFile(file, await spoiled(files, spoiling))
    const began = performance.now()
    const { problem, left } = await tried(db, file)
    slowest = Math.max(slowest, performance.now() - began)
    if (problem === null) accepted += 1
    else if (!(problem instanceof ArchiveError) || problem.message === '')
      wrong.push(problem instanceof Error ? (problem.stack ?? problem.message) : String(problem))
    else if (left > 0) wrong.push(`refused, and a shop is there all the same: ${problem.message}`)
    else refused += 1
    if ((k + 1) % 1000 === 0) trials.onProgress(k + 1, { accepted, refused, slowest, wrong })
  }
  await pool.end()
  return { accepted, refused, slowest, wrong }
}

/** What was said against an archive (null: it was brought in), and how many shops there were then. */
interface Tried {
  readonly problem: unknown
  readonly left: number
}

/** Brings an archive in, looks, and takes everything back: rows of a record cannot be deleted. */
async function tried(db: Database, file: string): Promise<Tried> {
  let found: Tried = { problem: null, left: 0 }
  await db
    .transaction(async (transaction) => {
      const problem = await problemOf(transaction, file)
      found = { problem, left: (await transaction.select().from(shops)).length }
      transaction.rollback()
    })
    .catch((error: unknown) => {
      if (!(error instanceof TransactionRollbackError)) found = { ...found, problem: error }
    })
  return found
}

async function problemOf(db: Pick<Database, 'transaction'>, file: string): Promise<unknown> {
  try {
    const archive = await openArchive(file)
    try {
      await readArchive(db, archive)
    } finally {
      archive.close()
    }
    return null
  } catch (error) {
    return error
  }
}

type Files = ReadonlyMap<string, Buffer>

const filesOf = (archive: Buffer): Promise<Files> =>
  new Promise((resolve, reject) => {
    fromBuffer(archive, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error)
      const files = new Map<string, Buffer>()
      zip.on('end', () => {
        resolve(files)
      })
      zip.on('entry', (entry: { readonly fileName: string }) => {
        zip.openReadStream(entry as never, (problem, stream) => {
          if (problem) return reject(problem)
          void buffer(stream).then((bytes) => {
            files.set(entry.fileName, bytes)
            zip.readEntry()
          })
        })
      })
      zip.readEntry()
    })
  })

/**
 * One row of one file changed, a file left out or changed as text, or the bytes of the archive themselves.
 */
async function spoiled(files: Files, spoiling: Spoiling): Promise<Buffer> {
  const { chance, choose, changedText } = spoiling
  const name = choose([...files.keys()])
  const right = files.get(name) ?? Buffer.alloc(0)
  if (chance(20)) return zipOf(new Map([...files].filter(([other]) => other !== name)))
  if (chance(4)) return spoiledBytes(await zipOf(files), spoiling)
  const changed = chance(4)
    ? changedText(right.toString('utf8'))
    : changedRow(right.toString('utf8'), spoiling)
  return zipOf(new Map([...files, [name, Buffer.from(changed)]]))
}

function changedRow(text: string, { below, changedText, changedValue }: Spoiling): string {
  const rows = text.split('\n')
  const at = below(rows.length)
  try {
    const changed = JSON.stringify(changedValue(JSON.parse(rows[at])))
    return rows.map((row, k) => (k === at ? changed : row)).join('\n')
  } catch {
    return changedText(text)
  }
}

function spoiledBytes(bytes: Buffer, { below, chance }: Spoiling): Buffer {
  const changed = Buffer.from(bytes)
  for (let k = 0; k <= below(12); k++) changed[below(changed.length)] = below(256)
  return chance(3) ? changed.subarray(0, below(changed.length)) : changed
}

async function zipOf(files: Files): Promise<Buffer> {
  const zip = new ZipFile()
  for (const [name, bytes] of files) zip.addBuffer(bytes, name, { compress: false })
  zip.end()
  return buffer(zip.outputStream)
}
