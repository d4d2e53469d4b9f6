import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import path from 'node:path'
import { hash } from '@node-rs/argon2'
import { drizzle } from 'drizzle-orm/node-postgres'
import { pino } from 'pino'
import { createApp, type AppOptions } from './app'
import { connect, type Database } from './db/connect'
import { migrateDatabase } from './db/migrate'
import * as schema from './db/schema'
import { diagrams, people, shops, sites, units } from './db/schema'
import { loadDemo } from './demo/load'
import type { Desks } from './routes/index'
import { printJobOf } from './services/printJobs'
import { bringSummariesUpToDate } from './services/summaries'
import { scopeWatch } from './scopeWatch'
import { printWith, type Print } from './paper/printJob'
import { PictureDesk } from './pictures/pictureDesk'
import { demoSignIn } from './demo/scenario'

export const fonts = {
  text: require.resolve('@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  strong:
    require.resolve('@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf'),
}

/** Somebody of another shop, and its only unit. */
export const stranger = { email: 'mara@elsewhere.example', password: 'another-shop-1' }
export const strangerUnit = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c01'

export const uuid = (): string => crypto.randomUUID()
/** A call that is set, and has been for longer than any delay. */
export const runLong = (call: string) => [
  { kind: 'call', call } as const,
  { kind: 'wait', seconds: 900 } as const,
]
let said = 0
/** An entry of this moment; what is said in one millisecond stays in its order. */
export const entryOf = (visit: string, body: unknown, id = uuid()) => ({
  id,
  visit,
  clock: { wall: Date.now(), counter: said++, device: 't' },
  body,
})

/** Prints here, of what would have crossed to another thread: what cannot be copied does not. */
export const acrossThreads: Print = (job) => printWith(fonts)(structuredClone(job))

/** Everything that routes hand on, done here and now; there is no post. */
export const desksAtHand = (db: Database, pictures: PictureDesk): Desks => ({
  orderPrint: async (order) => acrossThreads(await printJobOf(db, pictures, order)),
  pictures,
  orderLetter: null,
})

/**
 * A server on the test database with the demo scenario and a second shop; `given` in place of what it
 * usually has.
 */
export function openServer(given: Partial<AppOptions> = {}) {
  const pictures = new PictureDesk(path.join(__dirname, 'pictures', 'reencode.mjs'))
  const { pool, db: watched } = connect(process.env.TEST_DATABASE_URL ?? '', () => undefined, scopeWatch)
  // a test may look at all that is there
  const db = drizzle(pool, { schema })
  const desks = desksAtHand(watched, pictures)
  let server: Server
  const ready = (async (): Promise<string> => {
    const folder = path.join(__dirname, 'db', 'migrations')
    await Promise.all([migrateDatabase(pool, folder), migrateDatabase(pool, folder)])
    await loadDemo(db)
    await bringSummariesUpToDate(watched)
    await addStranger()
    server = createServer(
      createApp({
        pool,
        db: watched,
        logger: pino({ level: 'silent' }),
        sessionSecret: 'test',
        signInsPerMinute: 1000,
        ...desks,
        ...given,
      }),
    )
    await new Promise<void>((resolve) => {
      server.listen(0, '127.0.0.1', resolve)
    })
    return `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`
  })()

  async function addStranger(): Promise<void> {
    const shopId = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c00'
    const siteId = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c02'
    await db.insert(shops).values({ id: shopId, name: 'Elsewhere Air' }).onConflictDoNothing()
    await db
      .insert(people)
      .values({
        id: '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c03',
        shopId,
        name: 'Mara Quill',
        email: stranger.email,
        passwordHash: await hash(stranger.password),
        role: 'owner',
      })
      .onConflictDoNothing()
    await db
      .insert(sites)
      .values({ id: siteId, shopId, name: 'Elsewhere', address: '1 Elsewhere' })
      .onConflictDoNothing()
    await db
      .insert(diagrams)
      .values({ shopId, id: 'd', title: 'd', ladder: (await db.select().from(diagrams).limit(1))[0].ladder })
      .onConflictDoNothing()
    await db
      .insert(units)
      .values({
        id: strangerUnit,
        shopId,
        siteId,
        label: 'X',
        place: 'x',
        diagramId: 'd',
        make: 'x',
        serial: 'x',
        installed: '2020-01-01',
      })
      .onConflictDoNothing()
  }

  const close = async (): Promise<void> => {
    await ready
    pictures.close()
    server.closeAllConnections()
    await new Promise((resolve) => {
      server.close(resolve)
    })
    await pool.end()
  }
  return { ready, pool, db, desks, close }
}

export type TestServer = ReturnType<typeof openServer>

export interface Answer {
  readonly status: number
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- whatever the server says
  readonly body: any
}

/** Asks as somebody who is signed in: JSON both ways, or the bare exchange. */
export interface Ask {
  (method: string, address: string, body?: unknown): Promise<Answer>
  raw(method: string, address: string, body?: Buffer, type?: string): Promise<Response>
}

export async function client(server: TestServer, given: { email: string; password: string }): Promise<Ask> {
  const origin = await server.ready
  const signedIn = await fetch(`${origin}/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(given),
  })
  // the session is stored by the time the answer has ended
  await signedIn.text()
  const cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? ''
  const raw: Ask['raw'] = (method, address, body, type = 'application/json') =>
    fetch(origin + address, {
      method,
      headers: { cookie, 'content-type': type },
      ...(body === undefined ? {} : { body: new Uint8Array(body) }),
    })
  const ask = async (method: string, address: string, body?: unknown): Promise<Answer> => {
    const response = await raw(
      method,
      address,
      body === undefined ? undefined : Buffer.from(JSON.stringify(body)),
    )
    return { status: response.status, body: await response.json().catch(() => null) }
  }
  return Object.assign(ask, { raw })
}

export const demoClient = (server: TestServer): Promise<Ask> => client(server, demoSignIn)
