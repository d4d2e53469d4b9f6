import { randomBytes, randomUUID } from 'node:crypto'
import { hash } from '@node-rs/argon2'
import { and, eq, gt, isNull, sql } from 'drizzle-orm'
import type { Invitation, LinkUse, OpenLink, Role } from '@jokulgale/contract/people'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { links, people, secondFactors, securityEvents, shops } from '../db/schema'
import type { LinkLetter } from '../mail/letters'
import { notFound, RequestProblem } from '../requests/problem'
import { hashedToken } from '../requests/sender'
import type { Who, Whose } from '../requests/signedIn'
import { endSessions } from './devices'
import { personOfShop, siteForRole } from './people'
import { noteSecurity } from './security'
import { passWithCode, refuseTooSoon } from './signIn'

const dayMs = 86_400_000
const lastsMs = { invitation: 7 * dayMs, 'new-password': dayMs } as const

/** Who a link is for, and what it lets them do, by which anybody can make it. */
export type LinkOrder =
  | {
      readonly is: 'invitation'
      readonly shopId: string
      readonly madeBy: string
      readonly name: string
      readonly email: string
      readonly role: Role
      readonly siteId: string | null
    }
  | {
      readonly is: 'new-password'
      readonly shopId: string
      readonly madeBy: string
      readonly personId: string
    }

/** What an invitation lets somebody new do. Throws RequestProblem (409, 422). */
export async function orderInvitation(db: Database, who: Who, invitation: Invitation): Promise<LinkOrder> {
  const email = invitation.email.toLowerCase()
  const [taken] = await db.select({ id: people.id }).from(people).where(eq(people.email, email))
  if (taken)
    throw new RequestProblem(409, {
      error: 'nobody was invited',
      fields: [{ field: 'email', message: 'somebody with this e-mail is here already' }],
    })
  const { shopId, personId: madeBy } = who
  const { role, name } = invitation
  const siteId = await siteForRole(db, shopId, invitation)
  await noteSecurity(db, who, 'invited', `${email} as ${role}`)
  return { is: 'invitation', shopId, madeBy, name, email, role, siteId }
}

/** For a person of the shop to choose a new password. Throws RequestProblem (404). */
export async function orderNewPassword(db: Database, who: Who, personId: string): Promise<LinkOrder> {
  const { email } = await personOfShop(db, who.shopId, personId)
  await noteSecurity(db, who, 'link-made', email)
  return { is: 'new-password', shopId: who.shopId, madeBy: who.personId, personId }
}

const byMail = 'asked for by mail'
/** Nobody's mail is filled by asking again and again. */
const letterEveryMs = 5 * 60_000

/**
 * The same for somebody who says that this e-mail is theirs; null where nobody here has it, or a letter has
 * only just gone.
 */
export async function orderForgotten(db: Database, email: string): Promise<LinkOrder | null> {
  const [person] = await db
    .select({ id: people.id, shopId: people.shopId })
    .from(people)
    .where(and(eq(people.email, email.toLowerCase()), isNull(people.closedAt)))
  if (!person) return null
  const { id, shopId } = person
  const [justGone] = await db
    .select({ at: securityEvents.at })
    .from(securityEvents)
    .where(
      ofShop(
        securityEvents,
        shopId,
        eq(securityEvents.personId, id),
        eq(securityEvents.about, byMail),
        gt(securityEvents.at, new Date(Date.now() - letterEveryMs)),
      ),
    )
    .limit(1)
  if (justGone) return null
  await noteSecurity(db, { shopId, personId: id }, 'link-made', byMail)
  return { is: 'new-password', shopId, madeBy: id, personId: id }
}

/**
 * Makes a link. It is told once; only its hash is kept. Throws RequestProblem (404) for somebody who has
 * gone.
 */
export async function linkOfOrder(db: Database, order: LinkOrder): Promise<LinkLetter> {
  const { is, shopId, madeBy } = order
  const of = is === 'invitation' ? { ...order, personId: null } : await personToLink(db, order)
  const { personId, name, email, role, siteId } = of
  const token = randomBytes(24).toString('base64url')
  const expiresAt = new Date(Date.now() + lastsMs[is])
  await db
    .insert(links)
    .values({ tokenHash: hashedToken(token), shopId, madeBy, personId, name, email, role, siteId, expiresAt })
  const [shop] = await db.select({ name: shops.name }).from(shops).where(eq(shops.id, shopId))
  const link = { path: `/join/${token}`, expiresAt: expiresAt.toISOString() }
  return { is, name, email, shop: shop?.name ?? '', link }
}

async function personToLink(db: Database, { shopId, personId }: LinkOrder & { is: 'new-password' }) {
  const { name, email, role, site } = await personOfShop(db, shopId, personId)
  return { personId, name, email, role, siteId: site }
}

const isOpen = (token: string) =>
  and(eq(links.tokenHash, hashedToken(token)), isNull(links.usedAt), sql`${links.expiresAt} > now()`)

/** What a link is for. Throws RequestProblem (404) for one that was never made, was used, or has run out. */
export async function openLink(db: Database, token: string): Promise<OpenLink> {
  const [link] = await db
    .select({
      shop: shops.name,
      name: links.name,
      email: links.email,
      personId: links.personId,
      confirmedAt: secondFactors.confirmedAt,
      expiresAt: links.expiresAt,
    })
    .from(links)
    .innerJoin(shops, eq(shops.id, links.shopId))
    .leftJoin(secondFactors, ofShop(secondFactors, links.shopId, eq(secondFactors.personId, links.personId)))
    .where(isOpen(token))
  if (!link) throw goneLink()
  const { personId, expiresAt, confirmedAt, ...rest } = link
  return {
    ...rest,
    needsCode: confirmedAt !== null,
    is: personId === null ? 'invitation' : 'new-password',
    expiresAt: expiresAt.toISOString(),
  }
}

const goneLink = (): RequestProblem =>
  new RequestProblem(404, {
    error: 'this link was used already or has run out; ask the owner of the shop for another',
  })

/**
 * Uses a link, once: makes the person, or sets their password. Gives who it is. Throws RequestProblem (401,
 * 404,
 * 409).
 */
export async function useLink(db: Database, token: string, { password, code }: LinkUse): Promise<Whose> {
  const [open] = await db
    .select({ shopId: links.shopId, personId: links.personId, email: links.email })
    .from(links)
    .where(isOpen(token))
  if (!open) throw goneLink()
  const { personId } = open
  if (personId !== null) {
    await refuseTooSoon(db, open.email)
    await passWithCode(db, { ...open, personId }, code)
  }
  const passwordHash = await hash(password)
  return db.transaction(async (transaction) => {
    const [link] = await transaction
      .update(links)
      .set({ usedAt: sql`now()` })
      .where(isOpen(token))
      .returning()
    if (!link) throw goneLink()
    const { shopId, personId, name, email, role, siteId } = link
    // the same may have come by mail and by hand: one use closes both
    await transaction
      .update(links)
      .set({ usedAt: sql`now()` })
      .where(ofShop(links, shopId, eq(links.email, email), isNull(links.usedAt)))
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
      return { shopId, personId: id }
    }
    const changed = await transaction
      .update(people)
      .set({ passwordHash })
      .where(ofShop(people, shopId, eq(people.id, personId), isNull(people.closedAt)))
      .returning({ id: people.id })
    if (changed.length === 0) throw notFound('this person')
    await endSessions(transaction, personId, null)
    await noteSecurity(transaction, { shopId, personId }, 'password-changed', 'by a link')
    return { shopId, personId }
  })
}
