import { hash, verify } from '@node-rs/argon2'
import { asc, eq, isNull, ne, sql } from 'drizzle-orm'
import {
  erasedEmail,
  type PasswordChange,
  type RoleChange,
  type ShopPerson,
} from '@jokulgale/contract/people'
import type { Person } from '@jokulgale/contract/session'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { links, people, secondFactors, shops, signInFailures, sites } from '../db/schema'
import { notFound, RequestProblem } from '../requests/problem'
import type { Who, Whose } from '../requests/signedIn'
import { endSessions } from './devices'
import { noteSecurity } from './security'

export const personColumns = {
  id: people.id,
  name: people.name,
  email: people.email,
  role: people.role,
  site: people.siteId,
  shop: { id: shops.id, name: shops.name },
}

export async function findPerson(
  db: Database,
  { personId, shopId }: { personId: string; shopId: string },
): Promise<Person | null> {
  const [row] = await db
    .select(personColumns)
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .where(ofShop(people, shopId, eq(people.id, personId), isNull(people.closedAt)))
  return row ?? null
}

export async function peopleOf(db: Database, shopId: string): Promise<readonly ShopPerson[]> {
  const rows = await db
    .select({
      id: people.id,
      name: people.name,
      email: people.email,
      role: people.role,
      site: people.siteId,
      closedAt: people.closedAt,
      confirmedAt: secondFactors.confirmedAt,
    })
    .from(people)
    .leftJoin(secondFactors, ofShop(secondFactors, shopId, eq(secondFactors.personId, people.id)))
    .where(ofShop(people, shopId))
    .orderBy(asc(people.name))
  return rows.map(({ closedAt, confirmedAt, ...row }) => ({
    ...row,
    hasSecondFactor: confirmedAt !== null,
    closed: closedAt !== null,
  }))
}

/** A person of the shop who is not closed. Throws RequestProblem (404). */
export async function personOfShop(db: Database, shopId: string, id: string) {
  const [row] = await db
    .select({ id: people.id, name: people.name, email: people.email, role: people.role, site: people.siteId })
    .from(people)
    .where(ofShop(people, shopId, eq(people.id, id), isNull(people.closedAt)))
  if (!row) throw notFound('this person')
  return row
}

/** The site that a reader may see: there must be one, and it must be the shop's. Throws RequestProblem (422). */
export async function siteForRole(
  db: Pick<Database, 'select'>,
  shopId: string,
  { role, site }: RoleChange,
): Promise<string | null> {
  if (role !== 'reader') return null
  const [found] = site
    ? await db
        .select({ id: sites.id })
        .from(sites)
        .where(ofShop(sites, shopId, eq(sites.id, site)))
    : []
  if (!found)
    throw new RequestProblem(422, {
      error: 'a reader sees one site',
      fields: [{ field: 'site', message: 'choose a site of this shop' }],
    })
  return found.id
}

export async function changeRole(db: Database, who: Who, id: string, change: RoleChange): Promise<void> {
  const person = await personOfShop(db, who.shopId, id)
  if (person.role === 'owner' && change.role !== 'owner') await keepAnOwner(db, who.shopId, id)
  const siteId = await siteForRole(db, who.shopId, change)
  await db
    .update(people)
    .set({ role: change.role, siteId })
    .where(ofShop(people, who.shopId, eq(people.id, id)))
  await noteSecurity(db, who, 'role-changed', `${person.email}: ${person.role} to ${change.role}`)
}

/** A person who leaves: out everywhere at once, and in the record for good. */
export async function closePerson(db: Database, who: Who, id: string): Promise<void> {
  const person = await personOfShop(db, who.shopId, id)
  if (person.role === 'owner') await keepAnOwner(db, who.shopId, id)
  await db
    .update(people)
    .set({ closedAt: sql`now()` })
    .where(ofShop(people, who.shopId, eq(people.id, id)))
  await endSessions(db, id, null)
  await noteSecurity(db, who, 'closed', person.email)
}

const erasedName = 'Somebody who has left'

/** What the report prints beside one's own name. */
export async function changeLicence(db: Database, { shopId, personId }: Who, licence: string): Promise<void> {
  await db
    .update(people)
    .set({ licence })
    .where(ofShop(people, shopId, eq(people.id, personId)))
}

/**
 * Replaces name and e-mail of somebody who is closed, for good; what they entered stays, under nobody's name. Security
 * events that have their e-mail stay too: they say who was let in. Throws RequestProblem (404, 422).
 */
export async function erasePerson(db: Database, who: Who, id: string): Promise<void> {
  const [person] = await db
    .select({ email: people.email, closedAt: people.closedAt })
    .from(people)
    .where(ofShop(people, who.shopId, eq(people.id, id)))
  if (!person) throw notFound('this person')
  if (person.closedAt === null)
    throw new RequestProblem(422, { error: 'close this person first; then the name can be replaced' })
  await db.transaction(async (transaction) => {
    await transaction
      .update(people)
      .set({ name: erasedName, email: erasedEmail(id), licence: '' })
      .where(ofShop(people, who.shopId, eq(people.id, id)))
    await transaction
      .update(links)
      .set({ name: '', email: '' })
      .where(ofShop(links, who.shopId, eq(links.email, person.email)))
    await transaction.delete(signInFailures).where(eq(signInFailures.email, person.email))
    await noteSecurity(transaction, who, 'erased')
  })
}

async function keepAnOwner(db: Database, shopId: string, leaving: string): Promise<void> {
  const others = await db
    .select({ id: people.id })
    .from(people)
    .where(ofShop(people, shopId, eq(people.role, 'owner'), isNull(people.closedAt), ne(people.id, leaving)))
  if (others.length === 0)
    throw new RequestProblem(422, { error: 'a shop keeps an owner; make somebody else owner first' })
}

/** Throws RequestProblem (422), at the field that it was typed in. */
export async function requirePassword(
  db: Pick<Database, 'select'>,
  { personId, shopId }: Whose,
  given: string,
  field: string,
): Promise<void> {
  const [row] = await db
    .select({ passwordHash: people.passwordHash })
    .from(people)
    .where(ofShop(people, shopId, eq(people.id, personId)))
  if (!row || !(await verify(row.passwordHash, given)))
    throw new RequestProblem(422, {
      error: 'nothing was changed',
      fields: [{ field, message: 'this is not your present password' }],
    })
}

/** Sets a new password with the old one; every other device is signed out. Throws RequestProblem (422). */
export async function changePassword(
  db: Database,
  who: Who,
  { before, password }: PasswordChange,
  thisSession: string,
): Promise<void> {
  await requirePassword(db, who, before, 'before')
  await db
    .update(people)
    .set({ passwordHash: await hash(password) })
    .where(ofShop(people, who.shopId, eq(people.id, who.personId)))
  await endSessions(db, who.personId, thisSession)
  await noteSecurity(db, who, 'password-changed')
}
