import { and, eq, type SQL } from 'drizzle-orm'
import type { PgColumn } from 'drizzle-orm/pg-core'

/** A table whose rows each belong to a shop. */
interface OfShops {
  readonly shopId: PgColumn
}

/**
 * The one door to what belongs to a shop: its rows of a table, and of them those that meet the conditions.
 * The shop is one that is known, or the one that another table of the query names. A query that reads or
 * changes such a table by any other way fails the server's tests.
 */
export const ofShop = (
  table: OfShops,
  shop: string | PgColumn,
  ...conditions: readonly (SQL | undefined)[]
): SQL | undefined => and(eq(table.shopId, shop), ...conditions)
