import { existsSync, readdirSync } from 'node:fs'
import { mkdtemp, readdir, readFile, rm, stat } from 'node:fs/promises'
import os from 'node:os'
import path from 'node:path'
import { connect } from '../db/connect'
import { demoSignIn } from '../demo/scenario'
import { openPost } from '../mail/post'
import { acrossThreads, entryOf, openServer, uuid, type Ask } from '../testServer'
import { backUpInto } from './backups'
import { letterByQueue, sendLetters } from './letters'
import { printByQueue, printOrders } from './prints'
import { openQueue, type Queue } from './queue'

// two servers on one database, as a shop with many people would run them
const url = process.env.TEST_DATABASE_URL ?? ''
const own = connect(url, () => undefined)
const scratch = path.join(os.tmpdir(), `jokulgale-jobs-${process.pid}`)
const errors: unknown[] = []
const addressee = `letter-${uuid().slice(0, 8)}@skerry.example`
const takesOrders = (): Promise<Queue> => openQueue(url, (error) => errors.push(error))

let queues: readonly [Queue, Queue]
let first: ReturnType<typeof openServer>
let second: ReturnType<typeof openServer>
let here: Ask
let there: Ask

beforeAll(async () => {
  queues = [await takesOrders(), await takesOrders()]
  const limited = { behindTls: true, signInsPerMinute: 5 }
  first = openServer({
    ...limited,
    orderPrint: printByQueue(own.db, queues[0]),
    orderLetter: letterByQueue(queues[0]),
  })
  second = openServer(limited)
  await Promise.all([first.ready, second.ready])
})
afterAll(async () => {
  await Promise.all([first.close(), second.close(), ...queues.map((queue) => queue.close())])
  await own.pool.end()
  await rm(scratch, { recursive: true, force: true })
})

const knock = async (server: typeof first, address: string): Promise<number> => {
  const { status } = await fetch(`${await server.ready}/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-forwarded-for': address },
    body: JSON.stringify({ email: `nobody-${uuid()}@skerry.example`, password: 'not a word of it' }),
  })
  return status
}

test('tries at the door are counted together, by address', async () => {
  const address = '198.51.100.7'
  const tries: number[] = []
  for (let k = 0; k < 6; k++) tries.push(await knock(k % 2 === 0 ? first : second, address))
  expect(tries).toEqual([401, 401, 401, 401, 401, 429])
  expect(await knock(second, address)).toBe(429)
  expect(await knock(second, '198.51.100.8')).toBe(401)
})

/** Asks over what a proxy with TLS would hand on: a cookie goes over nothing else. */
const asks = (server: typeof first, cookie: string): Ask => {
  const raw: Ask['raw'] = async (method, address, body) =>
    fetch((await server.ready) + address, {
      method,
      headers: { cookie, 'content-type': 'application/json', 'x-forwarded-proto': 'https' },
      ...(body === undefined ? {} : { body: new Uint8Array(body) }),
    })
  const ask = async (method: string, address: string, body?: unknown) => {
    const bytes = body === undefined ? undefined : Buffer.from(JSON.stringify(body))
    const answer = await raw(method, address, bytes)
    return { status: answer.status, body: await answer.json().catch(() => null) }
  }
  return Object.assign(ask, { raw })
}

test('who signed in at one is signed in at the other, and out at both', async () => {
  const signIn = async (): Promise<string> => {
    const answer = await fetch(`${await first.ready}/session`, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        'x-forwarded-for': '198.51.100.9',
        'x-forwarded-proto': 'https',
      },
      body: JSON.stringify(demoSignIn),
    })
    await answer.text()
    return answer.headers.get('set-cookie')?.split(';')[0] ?? ''
  }
  const passing = await signIn()
  expect((await asks(second, passing)('GET', '/places')).status).toBe(200)
  await asks(second, passing)('DELETE', '/session')
  expect((await asks(first, passing)('GET', '/places')).status).toBe(401)
  const staying = await signIn()
  ;[here, there] = [asks(first, staying), asks(second, staying)]
})

test('entries of one visit through both are numbered without a gap for any reader', async () => {
  const visit = uuid()
  const { body: places } = await here('GET', '/places')
  await here('POST', '/visits', { id: visit, unit: places.units[0].id })
  const sent = await Promise.all(
    Array.from({ length: 30 }, (_, k) =>
      (k % 2 === 0 ? here : there)('POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' })] }),
    ),
  )
  expect(sent.every(({ status }) => status === 200 || status === 201)).toBe(true)
  const { body } = await there('GET', `/visits/${visit}/entries?after=0`)
  expect(body.entries.length).toBe(30)
})

test('a document asked for at one is made by the other; one that fails is tried again, and then said', async () => {
  let fails = 1
  await printOrders(own.db, queues[1], second.desks.pictures, (job) => {
    if (fails-- > 0) throw new Error('this server is out of paper')
    return acrossThreads(job)
  })
  const visit = uuid()
  const { body: places } = await here('GET', '/places')
  await here('POST', '/visits', { id: visit, unit: places.units[0].id })
  const answer = await here.raw('GET', `/visits/${visit}/report.pdf`)
  expect(answer.status).toBe(200)
  expect(
    Buffer.from(await answer.arrayBuffer())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-')
  const { rows } = await own.pool.query('SELECT count(*)::int AS kept FROM prints')
  expect(rows[0].kept).toBe(0)
  fails = 2
  expect((await here.raw('GET', '/labels.pdf')).status).toBe(500)
  expect((await here.raw('GET', '/labels.pdf')).status).toBe(200)
})

test('an invitation goes by letter, with a link of its own; using either closes both', async () => {
  const folder = path.join(scratch, 'mail')
  const post = openPost({ folder, from: 'Skerry <office@skerry.example>' })
  if (!post) throw new Error('there is a post')
  await sendLetters(own.db, queues[1], post, 'https://field.skerry.example')
  const invitation = { name: 'Nell Ferrow', email: addressee, role: 'technician' }
  const { body: link } = await here('POST', '/people/invitations', invitation)
  expect(link.mailedTo).toBe(addressee)
  const letter = await arrived(folder)
  expect(letter).toContain(`To: ${addressee}`)
  const mailed = /https:\/\/field\.skerry\.example\/join\/([\w-]+)/.exec(letter)?.[1]
  expect(mailed).toBeDefined()
  expect(link.path).not.toContain(mailed)
  const use = async (token: string | undefined): Promise<number> => {
    const used = await fetch(`${await second.ready}/links/${token}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-forwarded-for': '198.51.100.10' },
      body: JSON.stringify({ password: 'six wet gloves' }),
    })
    return used.status
  }
  expect(await use(mailed)).toBe(201)
  expect(await use(link.path.replace('/join/', ''))).toBe(404)
})

test('whoever forgot a password gets a letter; nobody learns by it who has an account', async () => {
  const folder = path.join(scratch, 'mail')
  const before = (await readdir(folder)).length
  const forgotten = async (email: string): Promise<number> => {
    const asked = await fetch(`${await first.ready}/forgotten`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-forwarded-for': '198.51.100.11' },
      body: JSON.stringify({ email }),
    })
    return asked.status
  }
  expect(await forgotten('nobody-at-all@skerry.example')).toBe(204)
  expect(await forgotten(addressee)).toBe(204)
  expect(await arrived(folder, before)).toMatch(/new password/i)
  // asked again at once, nobody's mail is filled
  expect(await forgotten(addressee)).toBe(204)
  await new Promise((resolve) => setTimeout(resolve, 1500))
  expect((await readdir(folder)).length).toBe(before + 1)
})

/** A letter's words with long lines joined again (quoted-printable, RFC 2045). */
const unfolded = (letter: string): string => letter.replaceAll(/=\r?\n/g, '').replaceAll('=3D', '=')

/** The newest letter, once there are more than so many. */
async function arrived(folder: string, before = 0): Promise<string> {
  for (let tries = 0; tries < 100; tries++) {
    const letters = existsSync(folder) ? (await readdir(folder)).filter((file) => file.endsWith('.eml')) : []
    if (letters.length > before)
      return unfolded(await readFile(path.join(folder, letters.sort().at(-1) ?? ''), 'utf8'))
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error('no letter came')
}

test('a backup is written whole, and the oldest of more than two weeks go', async () => {
  const home = '/usr/lib/postgresql'
  const pgDump = path.join(home, readdirSync(home).sort().at(-1) ?? '', 'bin', 'pg_dump')
  const folder = await mkdtemp(path.join(os.tmpdir(), 'jokulgale-backups-'))
  for (let day = 1; day <= 15; day++)
    await backUpInto({ databaseUrl: url, pgDump, folder }, new Date(Date.UTC(2031, 0, day)))
  const files = (await readdir(folder)).sort()
  expect([files.length, files[0]]).toEqual([14, 'jokulgale-2031-01-02.backup'])
  expect((await readFile(path.join(folder, files[0]))).subarray(0, 5).toString()).toBe('PGDMP')
  expect((await stat(path.join(folder, files[0]))).mode & 0o077).toBe(0)
  await rm(folder, { recursive: true })
  const wrong = { databaseUrl: url.replace(/\/[^/]*$/, '/nowhere'), pgDump, folder }
  await expect(backUpInto(wrong, new Date())).rejects.toThrow(/nowhere/)
  expect(await readdir(folder)).toEqual([])
  await rm(folder, { recursive: true })
})
