import { asc, eq } from 'drizzle-orm'
import type { DiagramRecord, Places, SiteRecord, UnitRecord } from '@jokulgale/contract/places'
import type { Database } from '../db/connect'
import { diagrams, sites, units } from '../db/schema'

export const siteColumns = { id: sites.id, name: sites.name, address: sites.address, access: sites.access }
export const unitColumns = {
  id: units.id,
  site: units.siteId,
  label: units.label,
  place: units.place,
  diagram: units.diagramId,
  make: units.make,
  serial: units.serial,
  installed: units.installed,
}

/** A shop's sites, units and diagrams: all that a device needs to work with no signal. */
export async function placesOf(db: Database, shopId: string): Promise<Places> {
  const [siteRows, unitRows, diagramRows] = await Promise.all([
    db.select(siteColumns).from(sites).where(eq(sites.shopId, shopId)).orderBy(asc(sites.name)),
    db.select(unitColumns).from(units).where(eq(units.shopId, shopId)).orderBy(asc(units.label)),
    db
      .select({ id: diagrams.id, title: diagrams.title, ladder: diagrams.ladder })
      .from(diagrams)
      .where(eq(diagrams.shopId, shopId)),
  ])
  return {
    sites: siteRows satisfies SiteRecord[],
    units: unitRows satisfies UnitRecord[],
    diagrams: diagramRows satisfies DiagramRecord[],
  }
}
