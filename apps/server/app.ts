import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import compression from 'compression'
import express, { type Express, type NextFunction, type Request, type Response } from 'express'
import session from 'express-session'
import staticGzip from 'express-static-gzip'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type pg from 'pg'
import type { Database } from './db/connect'
import { doorLimit } from './requests/doorLimit'
import { serializers } from './log'
import { answerProblems } from './requests/problem'
import { shopRoutes, type Desks } from './routes/index'
import { sessionRoutes } from './routes/session'
import { SessionStore } from './requests/sessionStore'
import { admit, requireJson } from './requests/signedIn'

export interface AppOptions extends Desks {
  readonly pool: pg.Pool
  readonly db: Database
  readonly logger: Logger
  readonly sessionSecret: string
  /** Folder of the built web application; without it only the interface for programs is served. */
  readonly webFolder?: string
  readonly signInsPerMinute?: number
  /** A proxy in front speaks TLS: cookies go over nothing else, and addresses are those it hands on. */
  readonly behindTls?: boolean
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
  behindTls = false,
  ...desks
}: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  if (behindTls) app.set('trust proxy', 1)
  app.use(
    pinoHttp({
      logger,
      serializers,
      wrapSerializers: false,
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api/') },
    }),
  )
  app.use(
    helmet({
      strictTransportSecurity: behindTls ? { maxAge: 31_536_000 } : false,
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", ...inlineScriptHashes(webFolder)],
          'worker-src': ["'self'", 'blob:'],
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'"],
          // React Native's own sheet is written into the page
          'style-src': ["'self'", "'unsafe-inline'"],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  )
  app.use(platformDenied)
  app.use(compression())
  app.use(express.json({ limit: largestRequest }))
  app.use('/api', neverKept)
  app.use(
    '/api',
    session({
      name: 'jokulgale',
      secret: sessionSecret,
      resave: false,
      saveUninitialized: false,
      rolling: true,
      store: new SessionStore(pool, (error) => {
        logger.warn({ err: error.find((one) => one instanceof Error) }, 'session store')
      }),
      cookie: { httpOnly: true, sameSite: 'lax', secure: behindTls, maxAge: sessionDays * 86_400_000 },
    }),
  )
  app.use('/api', requireJson)
  app.get('/api/health', async (_request, response) => {
    await pool.query('SELECT 1')
    response.json({ ok: true })
  })
  app.use('/api', sessionRoutes(db, doorLimit(pool, signInsPerMinute), desks.orderLetter))
  app.use('/api', admit(db), ...shopRoutes(db, desks))
  if (webFolder) serveWeb(app, webFolder)
  app.use(
    answerProblems((error) => {
      logger.error(error)
    }),
  )
  return app
}

/**
 * Of what a browser could let the page do, the camera, which is asked for with each picture, and nothing
 * else.
 */
function platformDenied(_request: Request, response: Response, next: NextFunction): void {
  response.set(
    'Permissions-Policy',
    'camera=(self), microphone=(), geolocation=(), payment=(), usb=(), bluetooth=(), serial=(), hid=()',
  )
  next()
}

/** What the server says of a shop is in no cache but the application's own. */
function neverKept(_request: Request, response: Response, next: NextFunction): void {
  response.set('Cache-Control', 'no-store')
  next()
}

function serveWeb(app: Express, folder: string): void {
  // built once and packed as small as they get; their names change with what they hold
  const packed = {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    serveStatic: { maxAge: '1y', immutable: true },
  }
  app.use('/_expo', staticGzip(path.join(folder, '_expo'), packed))
  app.use('/assets', staticGzip(path.join(folder, 'assets'), packed))
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
