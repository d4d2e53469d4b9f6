import { createHash } from 'node:crypto'
import { and, eq, gt, isNull, sql } from 'drizzle-orm'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { people, sendCredentials } from '../db/schema'
import type { Who } from './signedIn'

/** A credential or a link as it is kept: who reads the table can use neither. */
export const hashedToken = (token: string): string => createHash('sha256').update(token).digest('hex')

/**
 * Whose work it may send; null for one that was never made, has ended or run out, or whose person is
 * closed.
 */
export async function senderOf(db: Database, token: string): Promise<Who | null> {
  const [found] = await db
    .select({ personId: people.id, shopId: people.shopId, role: people.role })
    .from(sendCredentials)
    .innerJoin(people, ofShop(people, sendCredentials.shopId, eq(people.id, sendCredentials.personId)))
    .where(
      and(
        eq(sendCredentials.tokenHash, hashedToken(token)),
        gt(sendCredentials.expiresAt, sql`now()`),
        isNull(people.closedAt),
      ),
    )
  // a reader has nothing to send
  return found && found.role !== 'reader' ? { ...found, siteId: null } : null
}
