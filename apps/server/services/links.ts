import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { hash } from '@node-rs/argon2'
import { and, eq, isNull, sql } from 'drizzle-orm'
import type { Invitation, LinkUse, MadeLink, OpenLink } from '@jokulgale/contract/people'
import type { Database } from '../db/connect'
import { links, people, shops } from '../db/schema'
import { notFound, RequestProblem } from '../requests/problem'
import type { Who } from '../requests/signedIn'
import { endSessions } from './devices'
import { personOfShop, siteForRole } from './people'
import { noteSecurity } from './security'

const dayMs = 86_400_000
const lastsMs = { invitation: 7 * dayMs, 'new-password': dayMs } as const

const hashed = (token: string): string => createHash('sha256').update(token).digest('hex')

/** A link for somebody new. It is shown once; only its hash is kept. Throws RequestProblem (409, 422). */
export async function invite(db: Database, who: Who, invitation: Invitation): Promise<MadeLink> {
  const email = invitation.email.toLowerCase()
  const [taken] = await db.select({ id: people.id }).from(people).where(eq(people.email, email))
  if (taken)
    throw new RequestProblem(409, {
      error: 'nobody was invited',
      fields: [{ field: 'email', message: 'somebody with this e-mail is here already' }],
    })
  const { role, name } = invitation
  const siteId = await siteForRole(db, who.shopId, invitation)
  const made = await make(db, who, 'invitation', { personId: null, name, email, role, siteId })
  await noteSecurity(db, who, 'invited', `${email} as ${role}`)
  return made
}

/** A link with which a person of the shop chooses a new password. */
export async function linkForPassword(db: Database, who: Who, id: string): Promise<MadeLink> {
  const { name, email, role, site } = await personOfShop(db, who.shopId, id)
  const made = await make(db, who, 'new-password', { personId: id, name, email, role, siteId: site })
  await noteSecurity(db, who, 'link-made', email)
  return made
}

async function make(
  db: Database,
  who: Who,
  is: OpenLink['is'],
  of: Pick<typeof links.$inferInsert, 'personId' | 'name' | 'email' | 'role' | 'siteId'>,
): Promise<MadeLink> {
  const token = randomBytes(24).toString('base64url')
  const expiresAt = new Date(Date.now() + lastsMs[is])
  await db
    .insert(links)
    .values({ ...of, tokenHash: hashed(token), shopId: who.shopId, madeBy: who.personId, expiresAt })
  return { path: `/join/${token}`, expiresAt: expiresAt.toISOString() }
}

const isOpen = (token: string) =>
  and(eq(links.tokenHash, hashed(token)), isNull(links.usedAt), sql`${links.expiresAt} > now()`)

/** What a link is for. Throws RequestProblem (404) for one that was never made, was used, or has run out. */
export async function openLink(db: Database, token: string): Promise<OpenLink> {
  const [link] = await db
    .select({
      shop: shops.name,
      name: links.name,
      email: links.email,
      personId: links.personId,
      expiresAt: links.expiresAt,
    })
    .from(links)
    .innerJoin(shops, eq(shops.id, links.shopId))
    .where(isOpen(token))
  if (!link) throw goneLink()
  const { personId, expiresAt, ...rest } = link
  return {
    ...rest,
    is: personId === null ? 'invitation' : 'new-password',
    expiresAt: expiresAt.toISOString(),
  }
}

const goneLink = (): RequestProblem =>
  new RequestProblem(404, {
    error: 'this link was used already or has run out; ask the owner of the shop for another',
  })

/** Uses a link, once: makes the person, or sets their password. Gives the e-mail to sign in with. */
export async function useLink(db: Database, token: string, { password }: LinkUse): Promise<string> {
  const passwordHash = await hash(password)
  return db.transaction(async (transaction) => {
    const [link] = await transaction
      .update(links)
      .set({ usedAt: sql`now()` })
      .where(isOpen(token))
      .returning()
    if (!link) throw goneLink()
    const { shopId, personId, name, email, role, siteId } = link
    if (personId === null) {
      const id = randomUUID()
      const added = await transaction
        .insert(people)
        .values({ id, shopId, name, email, role, siteId, passwordHash })
        .onConflictDoNothing()
        .returning({ id: people.id })
      if (added.length === 0)
        throw new RequestProblem(409, { error: 'somebody with this e-mail is here already; sign in' })
      await noteSecurity(transaction, { shopId, personId: id }, 'joined', email)
      return email
    }
    const changed = await transaction
      .update(people)
      .set({ passwordHash })
      .where(and(eq(people.id, personId), eq(people.shopId, shopId), isNull(people.closedAt)))
      .returning({ id: people.id })
    if (changed.length === 0) throw notFound('this person')
    await endSessions(transaction, personId, null)
    await noteSecurity(transaction, { shopId, personId }, 'password-changed', 'by a link')
    return email
  })
}
