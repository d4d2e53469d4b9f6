// npm run dev: the application with hot reload, the API behind it on the same address, and a server that
// starts anew at
// each edit; the demo data in a database of its own. PORT=8081 npm run dev for another port.
import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import path from 'node:path'
import { installPackages, watchServer } from './house/build.mjs'
import { fieldFolder, root, stateFolder } from './house/paths.mjs'
import { startPostgres } from './house/postgres.mjs'
import { freePort } from './house/run.mjs'
import { startServer, stopServer } from './house/server.mjs'

await installPackages()
const postgres = await startPostgres(path.join(stateFolder, 'dev-database'))
const apiPort = await freePort()
const sessionSecret = randomBytes(32).toString('hex')
let server = null

const watching = await watchServer(async () => {
  const from = Date.now()
  if (server) await stopServer(server)
  server = await startServer({
    databaseUrl: postgres.url,
    sessionSecret,
    port: apiPort,
    environment: {},
  }).catch((error) => {
    console.error(`${error.message}; it is started again at the next edit`)
    return null
  })
  if (server) console.log(`The server is up (${Date.now() - from} ms)`)
})

const port = process.env.PORT ?? '8080'
const field = spawn(
  'node',
  [path.join(root, 'node_modules', '.bin', 'expo'), 'start', '--web', '--host', 'localhost', '--port', port],
  {
    cwd: fieldFolder,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      API_ORIGIN: `http://127.0.0.1:${apiPort}`,
      BROWSER: 'none',
      EXPO_NO_TELEMETRY: '1',
      EXPO_OFFLINE: '1',
    },
  },
)

async function stopAll() {
  field.kill('SIGTERM')
  await watching.dispose()
  if (server) await stopServer(server)
  await postgres.stop()
  process.exit(0)
}
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void stopAll())
field.once('exit', () => void stopAll())
