import { desc, eq } from 'drizzle-orm'
import type { SecurityEvent } from '@jokulgale/contract/security'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { people, securityEvents } from '../db/schema'

/** Puts down what happened, for the owner to look up. */
export async function noteSecurity(
  db: Pick<Database, 'insert'>,
  who: { readonly shopId: string; readonly personId: string | null },
  what: SecurityEvent['what'],
  about = '',
): Promise<void> {
  await db.insert(securityEvents).values({ shopId: who.shopId, personId: who.personId, what, about })
}

const mostEvents = 500

/** The newest events of a shop, newest first. */
export async function securityOf(db: Database, shopId: string): Promise<readonly SecurityEvent[]> {
  const rows = await db
    .select({
      what: securityEvents.what,
      about: securityEvents.about,
      person: people.name,
      at: securityEvents.at,
    })
    .from(securityEvents)
    .leftJoin(people, ofShop(people, shopId, eq(people.id, securityEvents.personId)))
    .where(ofShop(securityEvents, shopId))
    .orderBy(desc(securityEvents.sequence))
    .limit(mostEvents)
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }))
}
