// npm start: everything a fresh machine needs, then the server with the demo data. npm start -- --fresh loads the demo
// data anew; npm start -- --empty keeps a shop of your own, in a database of its own: the first person makes it.
import { randomBytes } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { stateFolder, webFolder } from './house/paths.mjs'
import { freePort, isAlive } from './house/run.mjs'
import { startPostgres } from './house/postgres.mjs'
import { startServer, stopServer } from './house/server.mjs'
import { buildServer, buildWeb, installPackages } from './house/build.mjs'

const fresh = process.argv.includes('--fresh')
const wantedPort = Number(process.env.PORT ?? 8080)
const isOwn = process.argv.includes('--empty')
const database = path.join(stateFolder, isOwn ? 'own-database' : 'database')
const lock = path.join(stateFolder, 'start.json')
const undo = []

async function stopAll(code) {
  for (const step of undo.reverse()) await step()
  process.exit(code)
}

async function refuseTwice() {
  if (!existsSync(lock)) return
  const { pid, address } = JSON.parse(await readFile(lock, 'utf8').catch(() => '{}'))
  const command = pid ? await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '') : ''
  if (pid !== process.pid && isAlive(pid) && command.includes('start.mjs')) {
    console.error(`Already running at ${address} (process ${pid}). Stop it with Ctrl-C there first.`)
    process.exit(1)
  }
}

async function sessionSecret() {
  const file = path.join(stateFolder, 'session-secret')
  if (!existsSync(file)) await writeFile(file, randomBytes(32).toString('hex'), { mode: 0o600 })
  return readFile(file, 'utf8')
}

try {
  await mkdir(stateFolder, { recursive: true })
  await refuseTwice()
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.once(signal, () => {
      console.log('\nStopping …')
      void stopAll(0)
    })
  await installPackages()
  await buildServer()
  await buildWeb()
  if (fresh && isOwn)
    throw new Error('--fresh is for the demo data; a shop of your own is never thrown away.')
  if (fresh && existsSync(path.join(database, 'data'))) {
    // a cluster left running by a killed run is stopped before its folder goes
    const old = await startPostgres(database)
    await old.stop()
    await rm(database, { recursive: true, force: true })
  }
  const postgres = await startPostgres(database)
  undo.push(() => postgres.stop())
  const port = await freePort(wantedPort)
  const server = await startServer({
    databaseUrl: postgres.url,
    sessionSecret: await sessionSecret(),
    port,
    webFolder,
    environment: isOwn ? { DEMO: 'none' } : {},
  })
  undo.push(() => stopServer(server))
  server.once('exit', (code) => {
    console.error(`The server ended (${code}).`)
    void stopAll(1)
  })
  const address = `http://127.0.0.1:${port}`
  await writeFile(lock, JSON.stringify({ pid: process.pid, address }))
  undo.push(() => rm(lock, { force: true }))
  console.log(
    [
      `\nJokulgale is at ${address}`,
      isOwn
        ? 'The first person who opens it makes the shop; after that it asks for a sign-in.'
        : 'Demo sign-in: ines@skerry.example, password north-stairs-480',
      'Ctrl-C stops it.',
    ].join('\n'),
  )
} catch (error) {
  console.error(error.message)
  await stopAll(1)
}
