import { createRequire } from 'node:module'
import path from 'node:path'
import { createApp } from './app'
import { connect } from './db/connect'
import { migrateDatabase } from './db/migrate'
import { makeLogger } from './log'
import { loadDemo } from './demo/load'
import { backUpEveryNight } from './jobs/backups'
import { letterByQueue, sendLetters } from './jobs/letters'
import { printByQueue, printOrders } from './jobs/prints'
import { openQueue } from './jobs/queue'
import { openPost } from './mail/post'
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

const logger = makeLogger(process.env.LOG_LEVEL ?? 'warn')
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
const reportJob = (error: unknown): void => {
  logger.warn(error, 'a job')
}
const queue = await openQueue(required('DATABASE_URL'), reportJob)
await printOrders(db, queue, pictures, printer.print)
const post = openPost({
  smtpUrl: environment.SMTP_URL,
  folder: environment.MAIL_FOLDER,
  from: environment.MAIL_FROM ?? 'Jokulgale <jokulgale@localhost>',
})
if (post) await sendLetters(db, queue, post, environment.PUBLIC_ADDRESS ?? 'http://127.0.0.1:8080')
const { BACKUP_FOLDER: folder, PG_DUMP: pgDump } = environment
if (folder && pgDump) await backUpEveryNight(queue, { databaseUrl: required('DATABASE_URL'), pgDump, folder })
const app = createApp({
  pictures,
  orderPrint: printByQueue(db, queue),
  orderLetter: post ? letterByQueue(queue) : null,
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
    void queue
      .close()
      .then(() => pool.end())
      .finally(() => process.exit(0))
  })
  server.closeAllConnections()
}
process.once('SIGTERM', stop)
process.once('SIGINT', stop)
// whoever started it has gone
process.once('disconnect', stop)
