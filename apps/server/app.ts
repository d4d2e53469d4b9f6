import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import compression from 'compression'
import connectPgSimple from 'connect-pg-simple'
import express, { type Express } from 'express'
import session from 'express-session'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type pg from 'pg'
import type { Database } from './db/connect'
import { photoRoutes } from './routes/photos'
import { placeRoutes } from './routes/places'
import { recordRoutes } from './routes/records'
import { reportRoutes } from './routes/reports'
import { answerProblems } from './requests/problem'
import { sessionRoutes } from './routes/session'
import { requireJson, requireSignIn } from './requests/signedIn'
import { visitRoutes } from './routes/visits'
import type { ReportFonts } from './services/reports'

export interface AppOptions {
  readonly pool: pg.Pool
  readonly db: Database
  readonly logger: Logger
  readonly sessionSecret: string
  /** Folder of the built web application; without it only the interface for programs is served. */
  readonly webFolder?: string
  readonly signInsPerMinute?: number
  readonly fonts: ReportFonts
}

const sessionDays = 30
const largestRequest = '2mb'

/** The server: stateless, all state in PostgreSQL. */
export function createApp({
  pool,
  db,
  logger,
  sessionSecret,
  webFolder,
  signInsPerMinute = 30,
  fonts,
}: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(pinoHttp({ logger, autoLogging: { ignore: (request) => !request.url?.startsWith('/api/') } }))
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", ...inlineScriptHashes(webFolder)],
          'worker-src': ["'self'", 'blob:'],
          'img-src': ["'self'", 'data:', 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  )
  app.use(compression())
  app.use(express.json({ limit: largestRequest }))
  const Store = connectPgSimple(session)
  app.use(
    '/api',
    session({
      name: 'jokulgale',
      secret: sessionSecret,
      resave: false,
      saveUninitialized: false,
      rolling: true,
      store: new Store({
        pool,
        tableName: 'session',
        pruneSessionInterval: false,
        errorLog: (...error) => {
          logger.warn({ error }, 'session store')
        },
      }),
      cookie: { httpOnly: true, sameSite: 'lax', maxAge: sessionDays * 86_400_000 },
    }),
  )
  app.use('/api', requireJson)
  app.get('/api/health', async (_request, response) => {
    await pool.query('SELECT 1')
    response.json({ ok: true })
  })
  app.use('/api/session', sessionRoutes(db, signInsPerMinute))
  app.use(
    '/api',
    requireSignIn,
    placeRoutes(db),
    recordRoutes(db),
    reportRoutes(db, fonts),
    photoRoutes(db),
    visitRoutes(db),
  )
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'there is nothing at this address' })
  })
  if (webFolder) serveWeb(app, webFolder)
  app.use(
    answerProblems((error) => {
      logger.error(error)
    }),
  )
  return app
}

function serveWeb(app: Express, folder: string): void {
  const forever = { maxAge: '1y', immutable: true }
  app.use('/_expo', express.static(path.join(folder, '_expo'), forever))
  app.use('/assets', express.static(path.join(folder, 'assets'), forever))
  app.use(express.static(folder, { index: false, maxAge: 0 }))
  app.get('/{*splat}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(path.join(folder, 'index.html'))
  })
}

/** The page's own inline scripts, allowed by what they say. */
function inlineScriptHashes(folder: string | undefined): readonly string[] {
  const page = folder ? path.join(folder, 'index.html') : ''
  if (!page || !existsSync(page)) return []
  return [...readFileSync(page, 'utf8').matchAll(/<script>([\s\S]*?)<\/script>/g)].map(
    ([, script]) => `'sha256-${createHash('sha256').update(script).digest('base64')}'`,
  )
}
