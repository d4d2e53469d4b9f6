import { randomBytes } from 'node:crypto'
import { eq, lt, sql } from 'drizzle-orm'
import type { SendCredential } from '@jokulgale/contract/session'
import type { Database } from '../db/connect'
import { sendCredentials } from '../db/schema'
import { hashedToken } from '../requests/sender'
import type { Who } from '../requests/signedIn'

/** As long as a session may last in all. */
const lastsMs = 90 * 86_400_000

/** A credential for the device of this session, in place of the one that it had; told once. */
export async function makeCredential(db: Database, who: Who, sid: string): Promise<SendCredential> {
  const token = randomBytes(32).toString('base64url')
  await db.transaction(async (transaction) => {
    await transaction.delete(sendCredentials).where(lt(sendCredentials.expiresAt, sql`now()`))
    await transaction.delete(sendCredentials).where(eq(sendCredentials.sid, sid))
    await transaction.insert(sendCredentials).values({
      tokenHash: hashedToken(token),
      shopId: who.shopId,
      personId: who.personId,
      sid,
      expiresAt: new Date(Date.now() + lastsMs),
    })
  })
  return { token }
}

/** Everything is sent: the credential ends, and the session that it was made in. */
export async function endCredential(db: Database, token: string | null): Promise<void> {
  if (token === null) return
  const [ended] = await db
    .delete(sendCredentials)
    .where(eq(sendCredentials.tokenHash, hashedToken(token)))
    .returning({ sid: sendCredentials.sid })
  if (ended) await db.execute(sql`DELETE FROM session WHERE sid = ${ended.sid}`)
}
