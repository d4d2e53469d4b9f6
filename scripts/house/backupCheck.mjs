import { Buffer } from 'node:buffer'
import { randomBytes, randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, rm, truncate, writeFile, copyFile } from 'node:fs/promises'
import path from 'node:path'
import { backUp, restore } from './backup.mjs'
import { startPostgres } from './postgres.mjs'
import { freePort } from './run.mjs'
import { startServer, stopServer } from './server.mjs'

const json = { 'content-type': 'application/json' }
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

/** Runs the server on a cluster, does something with it as a technician, and stops both. */
async function withServer(folder, work) {
  const postgres = await startPostgres(folder)
  const port = await freePort()
  const server = await startServer({
    databaseUrl: postgres.url,
    sessionSecret: randomBytes(16).toString('hex'),
    port,
    environment: { SIGN_INS_PER_MINUTE: '1000' },
  })
  try {
    const api = `http://127.0.0.1:${port}/api`
    const signedIn = await fetch(`${api}/session`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ email: 'ines@skerry.example', password: 'north-stairs-480' }),
    })
    const cookie = signedIn.headers.get('set-cookie').split(';')[0]
    const ask = (method, address, body, type = 'application/json') =>
      fetch(api + address, { method, headers: { cookie, 'content-type': type }, body })
    return await work(ask)
  } finally {
    await stopServer(server)
    await postgres.stop()
  }
}

/** What a shop has that a backup must bring back. */
async function contents(ask, visit, photo) {
  const places = await (await ask('GET', '/places')).json()
  const { entries } = await (await ask('GET', `/visits/${visit}/entries`)).json()
  const image = Buffer.from(await (await ask('GET', `/photos/${photo}`)).arrayBuffer()).toString('base64')
  const { epoch, ...rest } = places
  return { epoch, kept: JSON.stringify([rest, entries, image]) }
}

/**
 * Backs up, destroys the database, restores, and looks whether all is there and the server says that it
 * began anew. Gives what went wrong, each in words.
 */
export async function backupProblems(scratch) {
  const folder = path.join(scratch, 'backed-up')
  const file = path.join(scratch, 'shop.backup')
  const [visit, photo] = [randomUUID(), randomUUID()]
  const before = await withServer(folder, async (ask) => {
    const { units } = await (await ask('GET', '/places')).json()
    await ask('POST', '/visits', JSON.stringify({ id: visit, unit: units[0].id }))
    await ask('PUT', `/photos/${photo}?visit=${visit}`, png, 'image/png')
    const clock = { wall: Date.now(), counter: 0, device: 'check' }
    const entry = { id: randomUUID(), visit, clock, body: { kind: 'arrived' } }
    await ask('POST', '/entries', JSON.stringify({ entries: [entry] }))
    // while the server runs
    await backUp(folder, file)
    return contents(ask, visit, photo)
  })
  const torn = path.join(scratch, 'torn.backup')
  await copyFile(file, torn)
  await truncate(torn, 200)
  const text = path.join(scratch, 'text.backup')
  await writeFile(text, 'no backup')
  const refused = await Promise.all(
    [torn, text].map((bad) =>
      restore(folder, bad).then(
        () => false,
        () => existsSync(path.join(folder, 'data')),
      ),
    ),
  )
  await rm(folder, { recursive: true, force: true })
  await restore(folder, file)
  const after = await withServer(folder, (ask) => contents(ask, visit, photo))
  const kept = await restore(folder, file)
  const older = path.join(scratch, 'older')
  await mkdir(path.join(older, 'data'), { recursive: true })
  await writeFile(path.join(older, 'data', 'PG_VERSION'), '9\n')
  await writeFile(path.join(older, 'ready'), '')
  const ofOlder = await startPostgres(older).then(
    () => 'started',
    (error) => error.message,
  )
  return [
    /PostgreSQL 9.*postgresql-9.*npm run restore/s.test(ofOlder) &&
    existsSync(path.join(older, 'data', 'PG_VERSION'))
      ? ''
      : `an older cluster was not told from ours: ${ofOlder}`,
    after.kept === before.kept ? '' : 'what was restored is not what was backed up',
    after.epoch !== before.epoch ? '' : 'devices are not told that the server began anew',
    refused.every(Boolean) ? '' : 'a torn backup was taken, or took what was there with it',
    kept && existsSync(path.join(kept, 'data')) ? '' : 'a database that was there was not kept',
  ].filter(Boolean)
}
