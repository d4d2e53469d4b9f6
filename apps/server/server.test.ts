import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import path from 'node:path'
import { hash } from '@node-rs/argon2'
import { pino } from 'pino'
import { createApp } from './app'
import { connect } from './db/connect'
import { migrateDatabase } from './db/migrate'
import { diagrams, people, shops, sites, units } from './db/schema'
import { loadDemo } from './demo/load'
import { demoSignIn } from './demo/scenario'

const url = process.env.TEST_DATABASE_URL ?? ''
const { pool, db } = connect(url, () => undefined)
let server: Server
let origin = ''

const stranger = { email: 'mara@elsewhere.example', password: 'another-shop-1' }
const strangerUnit = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c01'

beforeAll(async () => {
  await Promise.all([migrateDatabase(pool, path.join(__dirname, 'db', 'migrations')), migrateDatabase(pool, path.join(__dirname, 'db', 'migrations'))])
  await loadDemo(db)
  const shopId = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c00'
  const siteId = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c02'
  await db.insert(shops).values({ id: shopId, name: 'Elsewhere Air' })
  await db.insert(people).values({ id: '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c03', shopId, name: 'Mara Quill', email: stranger.email, passwordHash: await hash(stranger.password) })
  await db.insert(sites).values({ id: siteId, shopId, name: 'Elsewhere', address: '1 Elsewhere' })
  await db.insert(diagrams).values({ shopId, id: 'd', title: 'd', ladder: (await db.select().from(diagrams).limit(1))[0].ladder })
  await db.insert(units).values({ id: strangerUnit, shopId, siteId, label: 'X', place: 'x', diagramId: 'd', make: 'x', serial: 'x', installed: '2020-01-01' })
  server = createServer(createApp({ pool, db, logger: pino({ level: 'silent' }), sessionSecret: 'test', signInsPerMinute: 1000 }))
  await new Promise<void>((resolve) => { server.listen(0, '127.0.0.1', resolve) })
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`
})

afterAll(async () => {
  server.closeAllConnections()
  await new Promise((resolve) => { server.close(resolve) })
  await pool.end()
})

interface Answer { readonly status: number; readonly body: any } // eslint-disable-line @typescript-eslint/no-explicit-any -- whatever the server says

async function client(given: { email: string; password: string }) {
  const signedIn = await fetch(`${origin}/session`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(given) })
  // the session is stored by the time the answer has ended
  await signedIn.text()
  const cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? ''
  return async (method: string, address: string, body?: unknown): Promise<Answer> => {
    const response = await fetch(origin + address, { method, headers: { cookie, 'content-type': 'application/json' }, ...(body === undefined ? {} : { body: JSON.stringify(body) }) })
    return { status: response.status, body: await response.json().catch(() => null) }
  }
}

const uuid = (): string => crypto.randomUUID()
const entryOf = (visit: string, body: unknown, id = uuid()) => ({ id, visit, clock: { wall: Date.now(), counter: 0, device: 't' }, body })

async function begun() {
  const ask = await client(demoSignIn)
  const { body: places } = await ask('GET', '/places')
  const unit = places.units.find((candidate: { diagram: string }) => candidate.diagram === 'rooftop-two-stage').id as string
  const visit = uuid()
  await ask('POST', '/visits', { id: visit, unit })
  return { ask, unit, visit }
}

test('a wrong password, an unknown person and a malformed request are told apart only as far as they should', async () => {
  const post = (body: unknown) => fetch(`${origin}/session`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  const wrong = await post({ ...demoSignIn, password: 'x' })
  const unknown = await post({ email: 'no@body.example', password: 'x' })
  expect([wrong.status, unknown.status]).toEqual([401, 401])
  expect(await wrong.json()).toEqual(await unknown.json())
  const malformed = await post({ email: 'nobody', password: 5 })
  expect(malformed.status).toBe(400)
  expect(((await malformed.json()) as { fields: { field: string }[] }).fields.map(({ field }: { field: string }) => field).sort()).toEqual(['email', 'password'])
})

test('without a session every address is closed', async () => {
  for (const address of ['/board', '/places', `/visits/${uuid()}`, `/visits/${uuid()}/entries`, `/units/${uuid()}/visits`]) {
    const response = await fetch(origin + address)
    expect([address, response.status]).toEqual([address, 401])
  }
})

test('an entry sent many times, alone and among others, is kept once', async () => {
  const { ask, visit } = await begun()
  const first = entryOf(visit, { kind: 'arrived' })
  const second = entryOf(visit, { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 25.1 })
  await Promise.all([ask('POST', '/entries', { entries: [first] }), ask('POST', '/entries', { entries: [first, second] }), ask('POST', '/entries', { entries: [second, first] })])
  expect((await ask('POST', '/entries', { entries: [first] })).status).toBe(200)
  const { body } = await ask('GET', `/visits/${visit}/entries`)
  expect(body.entries.map(({ id }: { id: string }) => id).sort()).toEqual([first.id, second.id].sort())
})

test.each([
  ['an unknown point', { kind: 'reading', meter: 'volts', from: 'TB.Q', value: 2 }, 422, /TB\.Q.*nearest/],
  ['OL on volts', { kind: 'reading', meter: 'volts', from: 'TB.R', value: null }, 422, /OL is for the ohms range/],
  ['both leads on one point', { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.R', value: 2 }, 422, /both leads/],
  ['an unknown call', { kind: 'call', call: 'cool9' }, 422, /cool9/],
  ['a repair of nothing', { kind: 'repair', of: 'CC99' }, 422, /CC99/],
  ['a kind that is not', { kind: 'wish' }, 400, /kind/],
  ['text for a number', { kind: 'reading', meter: 'volts', from: 'TB.R', value: '24' }, 400, /value/],
])('%s is refused with the field and what is wrong, and nothing of the batch is kept', async (_, body, status, message) => {
  const { ask, visit } = await begun()
  const answer = await ask('POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' }), entryOf(visit, body)] })
  expect(answer.status).toBe(status)
  expect(answer.body.fields[0].field).toMatch(/entries\[1\]/)
  expect(answer.body.fields[0].message).toMatch(message)
  expect((await ask('GET', `/visits/${visit}/entries`)).body.entries).toEqual([])
})

test('broken JSON, a form and a huge body are refused plainly', async () => {
  const { ask } = await begun()
  expect((await ask('POST', '/entries', { entries: [] })).status).toBe(400)
  const broken = await fetch(`${origin}/session`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{' })
  const form = await fetch(`${origin}/session`, { method: 'POST', headers: { 'content-type': 'application/x-www-form-urlencoded' }, body: 'email=a' })
  const huge = await fetch(`${origin}/session`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ email: 'x'.repeat(3e6) }) })
  expect([broken.status, form.status, huge.status]).toEqual([400, 415, 413])
})

test('another shop sees nothing of this one and can write nothing into it', async () => {
  const { ask, unit, visit } = await begun()
  const entry = entryOf(visit, { kind: 'arrived' })
  await ask('POST', '/entries', { entries: [entry] })
  const other = await client(stranger)
  expect((await other('GET', '/board')).body.items).toEqual([])
  expect((await other('GET', '/places')).body.units.map(({ id }: { id: string }) => id)).toEqual([strangerUnit])
  expect((await other('GET', `/visits/${visit}`)).status).toBe(404)
  expect((await other('GET', `/visits/${visit}/entries`)).status).toBe(404)
  expect((await other('GET', `/units/${unit}/visits`)).body.visits).toEqual([])
  expect((await other('POST', '/visits', { id: uuid(), unit })).status).toBe(404)
  expect((await other('POST', '/visits', { id: visit, unit: strangerUnit })).status).toBe(409)
  expect((await other('POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' })] })).status).toBe(404)
  const own = uuid()
  await other('POST', '/visits', { id: own, unit: strangerUnit })
  expect((await other('POST', '/entries', { entries: [entryOf(own, { kind: 'arrived' }, entry.id)] })).status).toBe(409)
})

test('the log cannot be rewritten, not even by hand', async () => {
  await expect(pool.query("UPDATE entries SET body = '{}'")).rejects.toThrow(/only added/)
  await expect(pool.query('DELETE FROM entries')).rejects.toThrow(/only added/)
})

test('loading the demo scenario again adds nothing', async () => {
  const count = async (): Promise<string> => (await pool.query('SELECT (SELECT count(*) FROM entries) || $1 || (SELECT count(*) FROM units) AS n', ['/'])).rows[0].n as string
  const before = await count()
  await loadDemo(db)
  expect(await count()).toBe(before)
})
