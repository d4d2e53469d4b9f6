import { createRequire } from 'node:module'
import path from 'node:path'
import { pino } from 'pino'
import { createApp } from './app'
import { connect } from './db/connect'
import { migrateDatabase } from './db/migrate'
import { loadDemo } from './demo/load'
import { Printer } from './paper/printer'
import { PictureDesk } from './pictures/pictureDesk'
import { bringShopsUpToDate } from './services/shops'
import { bringSummariesUpToDate } from './services/summaries'

const environment: Readonly<Record<string, string | undefined>> = process.env
const required = (name: string): string => {
  const value = environment[name]
  if (!value) throw new Error(`the environment variable ${name} is missing: start with npm start`)
  return value
}

const logger = pino({ level: process.env.LOG_LEVEL ?? 'warn' })
const { pool, db } = connect(required('DATABASE_URL'), (error) => {
  logger.warn(error, 'database connection lost')
})
await migrateDatabase(pool, path.join(required('SERVER_ROOT'), 'db', 'migrations'))
if (process.env.DEMO !== 'none') await loadDemo(db)
await bringShopsUpToDate(db)
await bringSummariesUpToDate(db)

const faces = createRequire(import.meta.url)
const face = (name: string): string => faces.resolve(`@expo-google-fonts/atkinson-hyperlegible-next/${name}`)
const fonts = {
  text: face('400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  strong: face('700Bold/AtkinsonHyperlegibleNext_700Bold.ttf'),
}
const pictures = new PictureDesk(path.join(required('SERVER_ROOT'), 'pictures', 'reencode.mjs'))
const printer = new Printer(path.join(required('SERVER_ROOT'), 'dist', 'printThread.mjs'), fonts)
const app = createApp({
  pictures,
  print: printer.print,
  pool,
  db,
  logger,
  sessionSecret: required('SESSION_SECRET'),
  webFolder: process.env.WEB_FOLDER,
  signInsPerMinute: Number(process.env.SIGN_INS_PER_MINUTE ?? 30),
  behindTls: process.env.BEHIND_TLS === '1',
})
const server = app.listen(Number(process.env.PORT ?? 8080), process.env.HOST ?? '127.0.0.1', () => {
  process.send?.('ready')
})

let isStopping = false
const stop = (): void => {
  if (isStopping) return
  isStopping = true
  pictures.close()
  printer.close()
  server.close(() => {
    void pool.end().then(() => process.exit(0))
  })
  server.closeAllConnections()
}
process.once('SIGTERM', stop)
process.once('SIGINT', stop)
// whoever started it has gone
process.once('disconnect', stop)
