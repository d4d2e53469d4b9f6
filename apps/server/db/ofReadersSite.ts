import { eq, type SQL } from 'drizzle-orm'
import type { PgColumn } from 'drizzle-orm/pg-core'

/**
 * What a reader may see is of one site: the condition that a row's site is theirs. None for anybody else, who has no
 * site of their own (null).
 */
export const ofReadersSite = (site: PgColumn, siteId: string | null): SQL | undefined =>
  siteId === null ? undefined : eq(site, siteId)
