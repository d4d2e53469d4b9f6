import { hash, verify } from '@node-rs/argon2'
import { and, eq } from 'drizzle-orm'
import type { Person, SignIn } from '@jokulgale/contract/session'
import type { Database } from '../db/connect'
import { people, shops } from '../db/schema'

const columns = {
  id: people.id,
  name: people.name,
  email: people.email,
  passwordHash: people.passwordHash,
  shop: { id: shops.id, name: shops.name },
}

/** A hash of nobody's password: an unknown e-mail takes as long as a wrong password. */
const nobody = hash('nobody at all')

/** The person whose e-mail and password these are, or null. */
export async function signIn(db: Database, { email, password }: SignIn): Promise<Person | null> {
  const [row] = await db
    .select(columns)
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .where(eq(people.email, email.toLowerCase()))
  const right = await verify(row?.passwordHash ?? (await nobody), password)
  if (!row || !right) return null
  const { passwordHash: _, ...person } = row
  return person
}

export async function findPerson(
  db: Database,
  { personId, shopId }: { personId: string; shopId: string },
): Promise<Person | null> {
  const [row] = await db
    .select(columns)
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .where(and(eq(people.id, personId), eq(people.shopId, shopId)))
  if (!row) return null
  const { passwordHash: _, ...person } = row
  return person
}
