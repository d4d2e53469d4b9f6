import path from 'node:path'
import { eq, isNull } from 'drizzle-orm'
import { connect, type Database } from '../db/connect'
import { migrateDatabase } from '../db/migrate'
import { ofShop } from '../db/ofShop'
import { people } from '../db/schema'
import { linkOfOrder, orderNewPassword } from '../services/links'
import { noteSecurity } from '../services/security'
import { bringSummariesUpToDate } from '../services/summaries'
import { openArchive } from './openArchive'
import { readArchive } from './readArchive'

/** What the command says when it is done. */
export interface Report {
  readonly name: string
  readonly counts: Readonly<Record<string, number>>
  /** For each owner: the link by which a password is chosen. */
  readonly owners: readonly { readonly email: string; readonly path: string }[]
}

/** Brings an archive into the database at `url`, made ready for it first. Throws ArchiveError. */
export async function bringIn(url: string, migrations: string, file: string): Promise<Report> {
  const archive = await openArchive(file)
  const { pool, db } = connect(url, () => undefined)
  try {
    await migrateDatabase(pool, migrations)
    const { shopId, name, counts } = await readArchive(db, archive)
    await bringSummariesUpToDate(db)
    await noteSecurity(db, { shopId, personId: null }, 'brought-in', path.basename(file))
    return { name, counts, owners: await ownerLinks(db, shopId) }
  } finally {
    archive.close()
    await pool.end()
  }
}

async function ownerLinks(db: Database, shopId: string): Promise<Report['owners']> {
  const owners = await db
    .select({ id: people.id, email: people.email })
    .from(people)
    .where(ofShop(people, shopId, eq(people.role, 'owner'), isNull(people.closedAt)))
  const made: { email: string; path: string }[] = []
  for (const { id, email } of owners) {
    const order = await orderNewPassword(db, { shopId, personId: id, role: 'owner', siteId: null }, id)
    made.push({ email, path: (await linkOfOrder(db, order)).link.path })
  }
  return made
}
