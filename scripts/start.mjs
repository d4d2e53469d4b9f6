// npm start: everything a fresh machine needs, then the server with the demo data. npm start -- --fresh
// loads the demo data anew; npm start -- --empty keeps a shop of your own, in a database of its own: the
// first person makes it.
import { randomBytes } from 'node:crypto'
import { existsSync } from 'node:fs'
import { chmod, chown, mkdir, readFile, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { databaseFolder, startLock, stateFolder, webFolder } from './house/paths.mjs'
import { freePort } from './house/run.mjs'
import { ordinaryUser } from './house/ordinaryUser.mjs'
import { beTheOnlyStart } from './house/runningStart.mjs'
import { startPostgres } from './house/postgres.mjs'
import { keepDatabase } from './house/keepDatabase.mjs'
import { keepRunning } from './house/keepRunning.mjs'
import { startServer } from './house/server.mjs'
import { troubleInWords } from './house/troubleInWords.mjs'
import { buildServer, buildWeb, installPackages } from './house/build.mjs'

const fresh = process.argv.includes('--fresh')
const wantedPort = Number(process.env.PORT ?? 8080)
const isOwn = process.argv.includes('--empty')
const database = databaseFolder(isOwn)
const undo = []

async function stopAll(code) {
  for (const step of undo.reverse()) await step()
  process.exit(code)
}

/**
 * The port is part of the address that devices keep their work under: another one is never taken without
 * being asked for.
 */
async function portOrExplain(port) {
  if ((await freePort(port)) === port) return port
  throw new Error(
    `Port ${port} is taken by another program. Stop that one, or choose a port for good: PORT=8081 npm start.`,
  )
}

async function sessionSecret() {
  const file = path.join(stateFolder, 'session-secret')
  if (!existsSync(file)) await writeFile(file, randomBytes(32).toString('hex'), { mode: 0o600 })
  return readFile(file, 'utf8')
}

/** Where the server's nightly backups go: a folder that whoever it runs as can write to. */
async function backupFolder() {
  const folder = process.env.BACKUP_FOLDER ?? path.join(stateFolder, 'backups')
  await mkdir(folder, { recursive: true })
  const { uid, gid } = await ordinaryUser()
  if (uid !== undefined) await chown(folder, uid, gid)
  // a backup holds everything: nobody else reads it
  await chmod(folder, 0o700)
  return folder
}

try {
  await mkdir(stateFolder, { recursive: true })
  await beTheOnlyStart()
  undo.push(() => rm(startLock, { force: true }))
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
  const keptDatabase = keepDatabase(postgres)
  undo.push(() => keptDatabase.stop())
  const port = await portOrExplain(wantedPort)
  const address = `http://127.0.0.1:${port}`
  const server = await keepRunning(async () =>
    startServer({
      databaseUrl: postgres.url,
      sessionSecret: await sessionSecret(),
      port,
      webFolder,
      environment: {
        PUBLIC_ADDRESS: process.env.PUBLIC_ADDRESS ?? address,
        ...(isOwn ? { DEMO: 'none', BACKUP_FOLDER: await backupFolder() } : {}),
        PG_DUMP: path.join(postgres.bin, 'pg_dump'),
      },
    }),
  )
  undo.push(() => server.stop())
  await writeFile(startLock, JSON.stringify({ pid: process.pid, address }))
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
  console.error(troubleInWords(error, stateFolder))
  await stopAll(1)
}
