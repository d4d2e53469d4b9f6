import type { Logger } from 'drizzle-orm'
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres'
import pg from 'pg'
import * as schema from './schema'

export type Database = NodePgDatabase<typeof schema>

/**
 * A pool on the database. A lost connection is reported and replaced, it does not end the server. `watch`
 * sees every statement before it is sent.
 */
export function connect(
  url: string,
  report: (error: Error) => void,
  watch?: Logger,
): { readonly pool: pg.Pool; readonly db: Database } {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 5000 })
  pool.on('error', report)
  // a connection that is in use reports for itself, and would end the server if nobody listened
  pool.on('connect', (client) => {
    client.on('error', report)
  })
  return { pool, db: drizzle(pool, { schema, logger: watch }) }
}
