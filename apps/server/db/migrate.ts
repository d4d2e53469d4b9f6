import { drizzle } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import type pg from 'pg'

/** Any number, the same for every server: only one migrates at a time. */
const lockNumber = 7_203_114

/** Brings the database to the newest schema; several servers may start at once. */
export async function migrateDatabase(pool: pg.Pool, migrationsFolder: string): Promise<void> {
  const client = await pool.connect()
  try {
    await client.query('SELECT pg_advisory_lock($1)', [lockNumber])
    await migrate(drizzle(client), { migrationsFolder })
  } finally {
    await client.query('SELECT pg_advisory_unlock($1)', [lockNumber]).catch(() => undefined)
    client.release()
  }
}
