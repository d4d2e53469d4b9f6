import { hash, verify } from '@node-rs/argon2'
import { eq, sql } from 'drizzle-orm'
import type { Person, SignIn } from '@jokulgale/contract/session'
import type { Database } from '../db/connect'
import { people, shops, signInFailures } from '../db/schema'
import { RequestProblem } from '../requests/problem'
import type { Whose } from '../requests/signedIn'
import { personColumns } from './people'
import { requireCode } from './secondFactors'
import { noteSecurity } from './security'

/** A hash of nobody's password: an unknown e-mail takes as long as a wrong password. */
const nobody = hash('nobody at all')

/** So many wrong passwords are forgiven at once; each further one doubles the wait. */
const forgiven = 5
const firstWaitSeconds = 5
const longestWaitSeconds = 900

/** Seconds until an e-mail with so many wrong passwords may be tried again. */
export const waitAfter = (failures: number): number =>
  failures < forgiven ? 0 : Math.min(longestWaitSeconds, firstWaitSeconds * 2 ** (failures - forgiven))

/** The person whose e-mail and password these are. Throws RequestProblem (401, and 429 while an e-mail has to wait). */
export async function signIn(db: Database, { email, password, code }: SignIn): Promise<Person> {
  const address = email.toLowerCase()
  await refuseTooSoon(db, address)
  const [row] = await db
    .select({ ...personColumns, passwordHash: people.passwordHash, closedAt: people.closedAt })
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .where(eq(people.email, address))
  const right = await verify(row?.passwordHash ?? (await nobody), password)
  if (!row || !right || row.closedAt !== null) {
    await countFailure(db, address)
    if (row) await noteSecurity(db, { shopId: row.shop.id, personId: row.id }, 'refused', 'sign-in')
    throw new RequestProblem(401, { error: 'this e-mail and password do not go together' })
  }
  const { passwordHash: _, closedAt: __, ...person } = row
  await passWithCode(db, { personId: person.id, shopId: person.shop.id, email: address }, code)
  await letIn(db, person)
  return person
}

/** Somebody who has shown that it is them. */
export async function letIn(db: Database, { id, email, shop }: Person): Promise<void> {
  await db.delete(signInFailures).where(eq(signInFailures.email, email))
  await noteSecurity(db, { shopId: shop.id, personId: id }, 'signed-in')
}

/**
 * Asks for the code of whoever has a second factor; a wrong one counts as a wrong password does, for
 * `refuseTooSoon` to slow. Throws RequestProblem (401).
 */
export async function passWithCode(
  db: Database,
  { email, ...who }: Whose & { readonly email: string },
  code: string | undefined,
): Promise<void> {
  try {
    await requireCode(db, who, code)
  } catch (error) {
    if (code) {
      await countFailure(db, email)
      await noteSecurity(db, who, 'refused', 'second factor')
    }
    throw error
  }
}

/** Throws RequestProblem (429) while an e-mail has to wait. */
export async function refuseTooSoon(db: Database, email: string): Promise<void> {
  const [failed] = await db.select().from(signInFailures).where(eq(signInFailures.email, email))
  if (!failed) return
  const left = Math.ceil(waitAfter(failed.failures) - (Date.now() - failed.lastAt.getTime()) / 1000)
  if (left > 0)
    throw new RequestProblem(429, {
      error: `too many wrong passwords for this e-mail; try again in ${left} s, or ask the owner for a link`,
    })
}

const countFailure = async (db: Database, email: string): Promise<void> => {
  await db
    .insert(signInFailures)
    .values({ email, failures: 1, lastAt: new Date() })
    .onConflictDoUpdate({
      target: signInFailures.email,
      set: { failures: sql`${signInFailures.failures} + 1`, lastAt: new Date() },
    })
}
