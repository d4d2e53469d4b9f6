import { randomBytes } from 'node:crypto'
import { chmod, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { buildServer, buildWeb, installPackages } from './build.mjs'
import { findChromium } from './debian.mjs'
import { webFolder } from './paths.mjs'
import { startPostgres } from './postgres.mjs'
import { freePort } from './run.mjs'
import { startServer, stopServer } from './server.mjs'

/**
 * The built application on a server and database of its own, that are gone afterwards. Gives its address and
 * how to stop, kill and start again.
 */
export async function throwAwayHouse({ logLevel = 'fatal' } = {}) {
  await installPackages()
  await findChromium()
  await buildServer()
  await buildWeb()
  const scratch = await mkdtemp(path.join(tmpdir(), 'jokulgale-'))
  // the database's own user passes through
  await chmod(scratch, 0o711)
  // what is acknowledged here must survive a kill, as in earnest: no short cuts of a test database
  const postgres = await startPostgres(path.join(scratch, 'postgres'))
  const port = await freePort()
  const options = {
    databaseUrl: postgres.url,
    sessionSecret: randomBytes(16).toString('hex'),
    port,
    webFolder,
    environment: { SIGN_INS_PER_MINUTE: '100000', LOG_LEVEL: logLevel },
  }
  let server = await startServer(options)
  return {
    address: `http://127.0.0.1:${port}`,
    port,
    postgres,
    /** Kills the server; says whether it was still alive to be killed. */
    killServer: () =>
      new Promise((resolve) => {
        if (server.exitCode !== null || server.signalCode !== null) {
          resolve(false)
          return
        }
        server.once('exit', () => {
          resolve(true)
        })
        server.kill('SIGKILL')
      }),
    serverPid: () => server.pid,
    serverIsAlive: () => server.exitCode === null && server.signalCode === null,
    startServer: async () => {
      server = await startServer(options)
    },
    stop: async () => {
      await stopServer(server)
      await postgres.stop()
      await rm(scratch, { recursive: true, force: true })
    },
  }
}

export const browserOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
