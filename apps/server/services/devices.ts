import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import type { SignedInDevice } from '@jokulgale/contract/people'
import type { Database } from '../db/connect'

interface SessionRow extends Record<string, unknown> {
  readonly sid: string
  readonly device: string | null
  readonly since: string | null
}

/**
 * Devices that a person is signed in on; which is which is told by a hash, so that no session can be
 * taken over.
 */
export async function devicesOf(
  db: Database,
  personId: string,
  thisSession: string,
): Promise<readonly SignedInDevice[]> {
  const { rows } = await db.execute<SessionRow>(
    sql`SELECT sid, sess->>'device' AS device, sess->>'sinceMs' AS since FROM session
        WHERE sess->>'personId' = ${personId} AND expire > now() ORDER BY expire DESC`,
  )
  return rows.map(({ sid, device, since }) => ({
    id: createHash('sha256').update(sid).digest('hex').slice(0, 16),
    words: device ?? 'a device',
    since: new Date(Number(since ?? 0)).toISOString(),
    isThis: sid === thisSession,
  }))
}

/** Signs a person out on every device, but for one: nothing is sent in their name from the others either. */
export async function endSessions(
  db: Pick<Database, 'execute'>,
  personId: string,
  except: string | null,
): Promise<void> {
  await db.execute(
    sql`DELETE FROM session WHERE sess->>'personId' = ${personId} AND sid IS DISTINCT FROM ${except}`,
  )
  await db.execute(
    sql`DELETE FROM send_credentials WHERE person_id = ${personId} AND sid IS DISTINCT FROM ${except}`,
  )
}

/** Sessions that have run out are not kept, nor tries at the door that count no more. */
export async function forgetOldSessions(db: Pick<Database, 'execute'>): Promise<void> {
  await db.execute(sql`DELETE FROM session WHERE expire < now()`)
  await db.execute(sql`DELETE FROM door_tries WHERE expire < extract(epoch FROM now()) * 1000`)
}
