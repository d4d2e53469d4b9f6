import connectPgSimple from 'connect-pg-simple'
import session, { type SessionData } from 'express-session'
import type pg from 'pg'

/** A session’s end is put off no more often than this: not with every request of a busy phone. */
const putOffEveryMs = 3_600_000
/** Sessions that one process remembers having put off. */
const mostRemembered = 10_000

const PostgresStore = connectPgSimple(session)

/** Sessions in PostgreSQL; their end moves on while they are used, written down once an hour. */
export class SessionStore extends PostgresStore {
  private readonly putOffAtMs = new Map<string, number>()

  constructor(pool: pg.Pool, report: (error: readonly unknown[]) => void) {
    super({
      pool,
      tableName: 'session',
      pruneSessionInterval: false,
      errorLog: (...error: unknown[]) => {
        report(error)
      },
    })
  }

  override touch(id: string, data: SessionData, done?: () => void): void {
    const now = Date.now()
    if (now - (this.putOffAtMs.get(id) ?? 0) < putOffEveryMs) {
      done?.()
      return
    }
    if (this.putOffAtMs.size >= mostRemembered) this.putOffAtMs.clear()
    this.putOffAtMs.set(id, now)
    super.touch(id, data, done)
  }
}
