import { and, eq, inArray, or, sql, type SQL } from 'drizzle-orm'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { Entry } from '@jokulgale/core/visit/log'
import type { SiteRecord, UnitRecord as UnitPlace } from '@jokulgale/contract/places'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { diagrams, entries, sites, units, visits } from '../db/schema'
import { siteColumns, unitColumns } from './places'

const columns = {
  id: entries.id,
  visit: entries.visitId,
  by: entries.personId,
  body: entries.body,
  unit: visits.unitId,
  diagram: visits.diagramId,
  wall: entries.clockWall,
  counter: entries.clockCounter,
  device: entries.clockDevice,
}

/** An entry with the unit that its visit was to, and the version of its circuit then. */
export interface UnitEntry extends Entry {
  readonly unit: string
  readonly diagram: string
}

type Reads = Pick<Database, 'select'>

async function entriesWhere(
  db: Reads,
  shopId: string,
  where: SQL | undefined,
): Promise<readonly UnitEntry[]> {
  const rows = await db
    .select(columns)
    .from(entries)
    .innerJoin(visits, ofShop(visits, shopId, eq(visits.id, entries.visitId)))
    .where(ofShop(entries, shopId, where))
  return rows.map(({ wall, counter, device, ...row }) => ({ ...row, clock: { wall, counter, device } }))
}

const ofKinds = (kinds: readonly EntryBody['kind'][]): SQL =>
  inArray(sql`${entries.body}->>'kind'`, [...kinds])

/** Everything that was ever said of a unit. */
export const logOfUnit = (db: Database, shopId: string, unit: string): Promise<readonly UnitEntry[]> =>
  entriesWhere(db, shopId, eq(visits.unitId, unit))

/** Entries of some kinds of some units. */
export const entriesOfUnits = (
  db: Reads,
  shopId: string,
  ids: readonly string[],
  kinds: readonly EntryBody['kind'][],
): Promise<readonly UnitEntry[]> =>
  entriesWhere(db, shopId, and(inArray(visits.unitId, [...ids]), ofKinds(kinds)))

/** Entries of some visits that say something in words, or are of some kinds. */
export const tellingEntries = (
  db: Reads,
  shopId: string,
  ids: readonly string[],
  kinds: readonly EntryBody['kind'][],
): Promise<readonly UnitEntry[]> =>
  entriesWhere(
    db,
    shopId,
    and(inArray(entries.visitId, [...ids]), or(sql`${entries.body}->>'words' <> ''`, ofKinds(kinds))),
  )

/** Entries of some kinds on the units of one site. */
export const entriesOfSite = (
  db: Database,
  shopId: string,
  site: string,
  kinds: readonly EntryBody['kind'][],
): Promise<readonly UnitEntry[]> =>
  entriesWhere(
    db,
    shopId,
    and(
      ofKinds(kinds),
      inArray(
        visits.unitId,
        db
          .select({ id: units.id })
          .from(units)
          .where(ofShop(units, shopId, eq(units.siteId, site))),
      ),
    ),
  )

export interface DrawnUnit {
  readonly unit: UnitPlace
  readonly site: SiteRecord
  readonly diagram: Diagram
}

interface WhichUnits {
  readonly unit?: string
  readonly site?: string | null
}

/** A unit with its site and the text of its circuit: plain data. */
interface PlacedUnit {
  readonly unit: UnitPlace
  readonly site: SiteRecord
  readonly ladder: string
}

/** Units of the shop with their sites and circuits as they are now: all, one, or those of a site. */
export async function placedUnits(
  db: Database,
  shopId: string,
  { unit, site }: WhichUnits = {},
): Promise<readonly PlacedUnit[]> {
  return db
    .select({ unit: unitColumns, site: siteColumns, ladder: diagrams.ladder })
    .from(units)
    .innerJoin(sites, ofShop(sites, shopId, eq(sites.id, units.siteId)))
    .innerJoin(diagrams, ofShop(diagrams, shopId, eq(diagrams.id, units.diagramId)))
    .where(
      ofShop(
        units,
        shopId,
        unit === undefined ? undefined : eq(units.id, unit),
        site ? eq(units.siteId, site) : undefined,
      ),
    )
}

/** The same with their circuits read. */
export async function drawnUnits(
  db: Database,
  shopId: string,
  which: WhichUnits,
): Promise<readonly DrawnUnit[]> {
  const rows = await placedUnits(db, shopId, which)
  return rows.map(({ unit, site, ladder }) => ({ unit, site, diagram: knownLadder(ladder) }))
}
