import { getTableColumns, getTableName, is, type Logger } from 'drizzle-orm'
import { PgTable } from 'drizzle-orm/pg-core'
import * as schema from './db/schema'

/** Tables whose rows belong to shops, by their names in the database. */
const tablesOfShops: ReadonlySet<string> = new Set(
  Object.values(schema)
    .filter((table) => is(table, PgTable))
    .filter((table) => 'shopId' in getTableColumns(table))
    .map((table) => getTableName(table)),
)

/** The few statements that cannot know whose shop it is, or are meant for every shop; and why. */
const meantForAll: readonly { readonly why: string; readonly statement: RegExp }[] = [
  { why: 'who signs in is known by e-mail alone', statement: /"people"\."email" = \$/ },
  { why: 'a link or credential is known by its secret alone', statement: /"token_hash" = \$/ },
  { why: 'what ran out or was signed out ends', statement: /^delete from "send_credentials"/ },
  { why: 'whether anybody has a shop here at all', statement: /^select "id" from "people" limit/ },
  { why: 'old summaries are made anew, shop by shop', statement: /order by "units"\."shop_id" asc limit/ },
]

/** The first table whose rows a statement takes of every shop; null where each is held to one. */
export function unscopedTable(statement: string): string | null {
  if (meantForAll.some((meant) => meant.statement.test(statement))) return null
  const tables = [...statement.matchAll(/(?:from|join|update) "(\w+)"/g)].map(([, table]) => table)
  const isHeld = (table: string): boolean =>
    !tablesOfShops.has(table) || statement.includes(`"${table}"."shop_id" = `)
  return tables.find((table) => !isHeld(table)) ?? null
}

/** Refuses every statement that takes rows of more than one shop: the request that asks fails. */
export const scopeWatch: Logger = {
  logQuery(statement) {
    const table = unscopedTable(statement)
    if (table !== null) throw new Error(`“${table}” is read or changed for every shop: ${statement}`)
  },
}
