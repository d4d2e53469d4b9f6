import { eq, isNull } from 'drizzle-orm'
import type { NextFunction, Request, Response } from 'express'
import type { Role } from '@jokulgale/contract/people'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { people, photos, units, visits } from '../db/schema'
import { accessTo, type Reached } from './access'
import { idOf } from './identity'
import { notFound, RequestProblem } from './problem'
import { senderOf } from './sender'

declare module 'express-session' {
  interface SessionData {
    personId: string
    shopId: string
    /** What the person signed in on, in the browser's own words. */
    device: string
    sinceMs: number
  }
}

/** Who asks: every query is held to this shop, and a reader's to their site. */
export interface Who {
  readonly personId: string
  readonly shopId: string
  readonly role: Role
  /** The one site that a reader may see; null for everybody else. */
  readonly siteId: string | null
}

/** Which person of which shop. */
export type Whose = Pick<Who, 'personId' | 'shopId'>

/** However often somebody comes back, after so long they sign in again. */
const longestSessionMs = 90 * 86_400_000

const known = new WeakMap<Request, Who>()

/** The person signed in. Throws RequestProblem (401). */
export function whoAsks(request: Request): Who {
  const who = known.get(request)
  if (!who) throw new RequestProblem(401, { error: 'sign in first' })
  return who
}

/**
 * Lets a request in whose person is still of the shop, may do this, and, as a reader, asks about their
 * own site.
 */
export const admit =
  (db: Database) =>
  async (request: Request, _response: Response, next: NextFunction): Promise<void> => {
    const token = bearerOf(request)
    const who = token === null ? await stillHere(db, request) : await sender(db, token)
    const reached = accessTo(request.method, request.path)
    if (!reached) throw new RequestProblem(404, { error: 'there is nothing at this address' })
    if (token !== null && !reached.forSending)
      throw new RequestProblem(403, { error: 'this device is signed out: it may only send what is unsent' })
    if (!reached.roles.includes(who.role))
      throw new RequestProblem(403, { error: `this is for ${reached.roles.join(' or ')}; ask one of them` })
    if (who.siteId !== null) await checkSite(db, who, who.siteId, reached)
    known.set(request, who)
    next()
  }

/** The credential that a request brings in place of a session (RFC 6750); null where it brings none. */
export function bearerOf(request: Request): string | null {
  const [scheme, token] = (request.get('authorization') ?? '').split(' ')
  return scheme?.toLowerCase() === 'bearer' && token ? token : null
}

async function sender(db: Database, token: string): Promise<Who> {
  const who = await senderOf(db, token)
  if (!who) throw new RequestProblem(401, { error: 'sign in first' })
  return who
}

/**
 * Who the session is of, as they are now: somebody closed a minute ago is out. Throws RequestProblem
 * (401).
 */
export async function stillHere(db: Database, request: Request): Promise<Who> {
  const { personId, shopId, sinceMs } = request.session
  const signedOut = new RequestProblem(401, { error: 'sign in first' })
  if (!personId || !shopId || Date.now() - (sinceMs ?? 0) > longestSessionMs) throw signedOut
  const [person] = await db
    .select({ role: people.role, siteId: people.siteId })
    .from(people)
    .where(ofShop(people, shopId, eq(people.id, personId), isNull(people.closedAt)))
  if (!person) throw signedOut
  return { personId, shopId, role: person.role, siteId: person.role === 'reader' ? person.siteId : null }
}

async function checkSite(db: Database, who: Who, site: string, reached: Reached): Promise<void> {
  const { reaches, id } = reached
  if (reaches === 'none' || reaches === 'filter') return
  const what = `this ${reaches}`
  if ((await siteOf(db, who.shopId, reaches, idOf(id, what))) !== site) throw notFound(what)
}

/** The site that a visit, unit or picture of the shop belongs to; null where it has none such. */
async function siteOf(
  db: Database,
  shopId: string,
  by: 'visit' | 'unit' | 'site' | 'photo',
  id: string,
): Promise<string | null> {
  if (by === 'site') return id
  const ofUnits = db.select({ site: units.siteId }).from(units).$dynamic()
  const joined =
    by === 'unit' ? ofUnits : ofUnits.innerJoin(visits, ofShop(visits, shopId, eq(visits.unitId, units.id)))
  const whole =
    by === 'photo' ? joined.innerJoin(photos, ofShop(photos, shopId, eq(photos.visitId, visits.id))) : joined
  const named = { unit: units.id, visit: visits.id, photo: photos.id }[by]
  const [found] = await whole.where(ofShop(units, shopId, eq(named, id)))
  return found?.site ?? null
}

/** Changes come as JSON, pictures as themselves: nothing that a foreign page could send as a form. */
export function requireJson(request: Request, _response: Response, next: NextFunction): void {
  if (
    request.method !== 'GET' &&
    request.method !== 'DELETE' &&
    !request.is('application/json') &&
    !(request.method === 'PUT' && request.is('image/*'))
  )
    throw new RequestProblem(415, { error: 'send JSON' })
  next()
}
