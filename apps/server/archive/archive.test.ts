import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { pipeline } from 'node:stream/promises'
import { Readable } from 'node:stream'
import { eq } from 'drizzle-orm'
import { ZipFile } from 'yazl'
import pg from 'pg'
import { connect, type Database } from '../db/connect'
import { migrateDatabase } from '../db/migrate'
import { ofShop } from '../db/ofShop'
import { people, photos, shops, sites, visits } from '../db/schema'
import { demoSignIn } from '../demo/scenario'
import { demoClient, openServer, stranger, client, uuid } from '../testServer'
import { openArchive } from './openArchive'
import { readArchive } from './readArchive'
import { writeArchive } from './writeArchive'

const server = openServer()
let folder = ''
const fresh: { pool: pg.Pool; db: Database }[] = []
beforeAll(async () => {
  await server.ready
  folder = await mkdtemp(path.join(tmpdir(), 'archive-'))
  await addReaderAndPhoto()
})
afterAll(async () => {
  for (const { pool } of fresh) await pool.end()
  await rm(folder, { recursive: true })
  await server.close()
})

/** What the demo has none of: somebody of one site only, and a picture. */
async function addReaderAndPhoto(): Promise<void> {
  const shopId = await demoShop()
  const [site] = await server.db.select().from(sites).where(ofShop(sites, shopId)).limit(1)
  const [visit] = await server.db.select().from(visits).where(ofShop(visits, shopId)).limit(1)
  await server.db.insert(people).values({
    id: uuid(),
    shopId,
    name: 'Odd Lind',
    email: `odd-${uuid()}@skerry.example`,
    passwordHash: 'none',
    role: 'reader',
    siteId: site.id,
  })
  await server.db.insert(photos).values({
    id: uuid(),
    shopId,
    visitId: visit.id,
    personId: visit.startedBy,
    type: 'image/jpeg',
    image: Buffer.from('not looked at on its way'),
    takenAt: new Date('2026-03-04T10:00:00Z'),
  })
}

const demoShop = async (): Promise<string> => {
  const [owner] = await server.db.select().from(people).where(eq(people.email, demoSignIn.email))
  return owner.shopId
}

/** A house with nothing in it: another database on the same server. */
async function emptyHouse(): Promise<Database> {
  const name = `archive_${uuid().replaceAll('-', '')}`
  const admin = connect(process.env.TEST_ADMIN_URL ?? '', () => undefined)
  const role = new URL(process.env.TEST_DATABASE_URL ?? '').username
  await admin.pool.query(`CREATE DATABASE ${name} OWNER ${role}`)
  await admin.pool.end()
  const url = (process.env.TEST_DATABASE_URL ?? '').replace(/\/[^/]*$/, `/${name}`)
  const house = connect(url, () => undefined)
  fresh.push(house)
  await migrateDatabase(house.pool, path.join(__dirname, '..', 'db', 'migrations'))
  return house.db
}

async function archived(db: Database, shopId: string): Promise<string> {
  const file = path.join(folder, `${uuid()}.zip`)
  await pipeline(await writeArchive(db, shopId), createWriteStream(file))
  return file
}

/** Every file of an archive but the security events, as text. */
async function contentOf(file: string): Promise<Readonly<Record<string, string>>> {
  const archive = await openArchive(file)
  const content: Record<string, string> = {}
  for (const name of [
    'shop.json',
    ...['people', 'circuits', 'place-edits', 'visits', 'entries', 'photos'].map((each) => `${each}.jsonl`),
  ])
    content[name] = Buffer.concat(await (await archive.read(name)).toArray()).toString('utf8')
  for (const row of content['photos.jsonl'].split('\n').filter((line) => line !== '')) {
    const name: string = JSON.parse(row).file
    content[name] = Buffer.concat(await (await archive.read(name)).toArray()).toString('base64')
  }
  archive.close()
  return content
}

test('a shop is the same after it went through its archive', async () => {
  const first = await archived(server.db, await demoShop())
  const house = await emptyHouse()
  const archive = await openArchive(first)
  const { shopId, counts } = await readArchive(house, archive)
  archive.close()
  expect(counts.entries).toBeGreaterThan(20)
  expect(counts.photos).toBeGreaterThanOrEqual(1)
  expect(await contentOf(await archived(house, shopId))).toEqual(await contentOf(first))
})

test('a house that has a shop takes no other', async () => {
  const archive = await openArchive(await archived(server.db, await demoShop()))
  await expect(readArchive(server.db, archive)).rejects.toThrow('there is a shop here already')
  archive.close()
})

/** The demo shop's archive with one of its files made otherwise. */
async function spoiled(name: string, change: (text: string) => string): Promise<string> {
  const content = await contentOf(await archived(server.db, await demoShop()))
  const zip = new ZipFile()
  for (const [each, text] of Object.entries({ 'security.jsonl': '', ...content })) {
    const bytes = each.startsWith('photos/') ? Buffer.from(text, 'base64') : Buffer.from(text)
    zip.addBuffer(each === name ? Buffer.from(change(text)) : bytes, each)
  }
  zip.end()
  const file = path.join(folder, `${uuid()}.zip`)
  await pipeline(zip.outputStream as Readable, createWriteStream(file))
  return file
}

const firstLine = (text: string, change: (row: Record<string, unknown>) => object): string => {
  const [line, ...rest] = text.split('\n')
  return [JSON.stringify(change(JSON.parse(line))), ...rest].join('\n')
}

test.each<[string, string, (text: string) => string, string]>([
  ['no JSON', 'entries.jsonl', (text) => text.replace('{', '{{'), 'entries.jsonl, line 1: no JSON'],
  [
    'a later version',
    'shop.json',
    (text) => firstLine(text, (row) => ({ ...row, version: 99 })),
    'shop.json, line 1: /version',
  ],
  [
    'a field too many',
    'people.jsonl',
    (text) => firstLine(text, (row) => ({ ...row, passwordHash: 'x' })),
    'people.jsonl, line 1:  must NOT have additional properties',
  ],
  [
    'a character that no database keeps',
    'people.jsonl',
    (text) => firstLine(text, (row) => ({ ...row, name: 'Ines\u0000' })),
    'people.jsonl, line 1: has a character that cannot be kept',
  ],
  [
    'a circuit that cannot be read',
    'circuits.jsonl',
    (text) => firstLine(text, (row) => ({ ...row, ladder: 'unit x' })),
    'circuits.jsonl, circuit',
  ],
  [
    'an entry of no known kind',
    'entries.jsonl',
    (text) => firstLine(text, (row) => ({ ...row, body: { kind: 'wish' } })),
    'entries.jsonl, entry',
  ],
  [
    'a visit to a unit that is not there',
    'visits.jsonl',
    (text) => firstLine(text, (row) => ({ ...row, unit: uuid() })),
    'does not fit together',
  ],
  ['bytes that are no text', 'visits.jsonl', () => '\udc00{', 'visits.jsonl, line 1'],
])('%s is refused by file and line, and nothing is kept', async (_, name, change, message) => {
  const house = await emptyHouse()
  const archive = await openArchive(await spoiled(name, change))
  await expect(readArchive(house, archive)).rejects.toThrow(message)
  archive.close()
  expect(await house.select().from(shops)).toEqual([])
})

test('the owner has the archive, nobody else', async () => {
  const ask = await demoClient(server)
  const answer = await ask.raw('GET', '/shop/archive.zip')
  expect(answer.status).toBe(200)
  expect(answer.headers.get('content-disposition')).toContain('.zip')
  const bytes = Buffer.from(await answer.arrayBuffer())
  expect(bytes.subarray(0, 2).toString()).toBe('PK')
  const other = await client(server, stranger)
  const theirs = Buffer.from(await (await other.raw('GET', '/shop/archive.zip')).arrayBuffer())
  expect(theirs.length).toBeLessThan(bytes.length)
})
