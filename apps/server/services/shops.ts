import { randomUUID } from 'node:crypto'
import { hash } from '@node-rs/argon2'
import { eq, sql } from 'drizzle-orm'
import type { FrontDoor, NewShop } from '@jokulgale/contract/people'
import type { Database } from '../db/connect'
import { people, shops } from '../db/schema'
import { demoSignIn } from '../demo/scenario'
import { RequestProblem } from '../requests/problem'
import { keepBuiltInDiagrams } from './builtInDiagrams'
import { noteSecurity } from './security'

/** What anybody may know before signing in. */
export async function frontDoor(db: Database): Promise<Omit<FrontDoor, 'hasPost'>> {
  const [anyShop] = await db.select({ id: shops.id }).from(shops).limit(1)
  const [demo] = await db.select({ id: people.id }).from(people).where(eq(people.email, demoSignIn.email))
  return { isFirst: !anyShop, isDemo: demo !== undefined }
}

/** The first person makes the shop and owns it. Throws RequestProblem (409) when there is one already. */
export async function makeShop(db: Database, { shop, name, email, password }: NewShop): Promise<void> {
  const passwordHash = await hash(password)
  await db.transaction(async (transaction) => {
    await transaction.execute(sql`SELECT pg_advisory_xact_lock(7203116)`)
    const [known] = await transaction.select({ id: shops.id }).from(shops).limit(1)
    if (known)
      throw new RequestProblem(409, {
        error: 'there is a shop here already; ask its owner for an invitation',
      })
    const shopId = randomUUID()
    const personId = randomUUID()
    await transaction.insert(shops).values({ id: shopId, name: shop.trim() })
    await transaction.insert(people).values({
      id: personId,
      shopId,
      name: name.trim(),
      email: email.toLowerCase(),
      passwordHash,
      role: 'owner',
    })
    await keepBuiltInDiagrams(transaction, shopId)
    await noteSecurity(transaction, { shopId, personId }, 'joined', 'made the shop')
  })
}

/** Every shop has the circuits of the program as it is now. */
export async function bringShopsUpToDate(db: Database): Promise<void> {
  await db.transaction(async (transaction) => {
    await transaction.execute(sql`SELECT pg_advisory_xact_lock(7203115)`)
    for (const { id } of await transaction.select({ id: shops.id }).from(shops))
      await keepBuiltInDiagrams(transaction, id)
  })
}
