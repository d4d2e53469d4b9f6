import { asc, desc, eq, inArray, or, sql, type SQL } from 'drizzle-orm'
import type { OtherValue, Places, SiteRecord, UnitRecord } from '@jokulgale/contract/places'
import { foldPlace } from '@jokulgale/core/places/foldPlace'
import type { PlaceEdit } from '@jokulgale/core/places/placeEdit'
import type { Database } from '../db/connect'
import { ofReadersSite } from '../db/ofReadersSite'
import { ofShop } from '../db/ofShop'
import { diagrams, epochs, people, sites, units, visits } from '../db/schema'
import type { Who } from '../requests/signedIn'
import { diagramColumns, diagramRecord } from './diagrams'
import { editsOfChangedPlaces } from './placeEdits'

export const siteColumns = {
  id: sites.id,
  name: sites.name,
  address: sites.address,
  access: sites.access,
  archived: sites.archived,
}
export const unitColumns = {
  id: units.id,
  site: units.siteId,
  label: units.label,
  place: units.place,
  diagram: units.diagramId,
  plan: sql<string>`coalesce(${units.planId}, '')`,
  make: units.make,
  serial: units.serial,
  installed: sql<string>`coalesce(${units.installed}::text, '')`,
  archived: units.archived,
}

/** A shop's sites, units and circuits: all that a device needs to work with no signal. A reader's are of one site. */
export async function placesOf(db: Database, { shopId, siteId }: Who): Promise<Places> {
  const [siteRows, unitRows, diagramRows, peopleRows, edits, [epoch]] = await Promise.all([
    db
      .select(siteColumns)
      .from(sites)
      .where(ofShop(sites, shopId, ofReadersSite(sites.id, siteId)))
      .orderBy(asc(sites.name)),
    db
      .select(unitColumns)
      .from(units)
      .where(ofShop(units, shopId, ofReadersSite(units.siteId, siteId)))
      .orderBy(asc(units.label)),
    db
      .select(diagramColumns)
      .from(diagrams)
      .where(ofShop(diagrams, shopId, siteId === null ? undefined : ofSite(db, shopId, siteId)))
      .orderBy(asc(diagrams.madeAt)),
    siteId === null
      ? db
          .select({ id: people.id, name: people.name, licence: people.licence })
          .from(people)
          .where(ofShop(people, shopId))
      : [],
    siteId === null ? editsOfChangedPlaces(db, shopId) : [],
    db.select({ id: epochs.id }).from(epochs).orderBy(desc(epochs.since)).limit(1),
  ])
  return {
    sites: siteRows satisfies SiteRecord[],
    units: unitRows satisfies UnitRecord[],
    diagrams: diagramRows.map(diagramRecord),
    people: peopleRows,
    others: othersIn(edits),
    epoch: epoch?.id ?? '',
  }
}

/** Circuits that the units of a site have or are to have, or that visits to them began with. */
const ofSite = (db: Database, shopId: string, siteId: string): SQL | undefined =>
  or(
    ...[units.diagramId, units.planId].map((id) =>
      inArray(
        diagrams.id,
        db
          .select({ id })
          .from(units)
          .where(ofShop(units, shopId, eq(units.siteId, siteId))),
      ),
    ),
    inArray(
      diagrams.id,
      db
        .select({ id: visits.diagramId })
        .from(visits)
        .innerJoin(units, ofShop(units, shopId, eq(units.id, visits.unitId)))
        .where(ofShop(visits, shopId, eq(units.siteId, siteId))),
    ),
  )

/** What is on offer beside the values that show. */
function othersIn(edits: readonly PlaceEdit[]): readonly OtherValue[] {
  const byPlace = new Map<string, PlaceEdit[]>()
  for (const edit of edits) {
    const known = byPlace.get(edit.place)
    if (known) known.push(edit)
    else byPlace.set(edit.place, [edit])
  }
  return [...byPlace].flatMap(([place, own]) =>
    Object.entries(foldPlace(own[0].of, own)).flatMap(([field, { other }]) =>
      other === null ? [] : [{ place, field, value: other }],
    ),
  )
}
