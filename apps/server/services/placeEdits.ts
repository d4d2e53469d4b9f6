import { inArray, sql, type SQL } from 'drizzle-orm'
import type { PgColumn } from 'drizzle-orm/pg-core'
import { lostGuards } from '@jokulgale/core/changes/lostGuards'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { foldPlace, type FoldedPlace } from '@jokulgale/core/places/foldPlace'
import type { PlaceEdit, PlaceKind } from '@jokulgale/core/places/placeEdit'
import { changeProblems, lacking, type FieldProblem } from '@jokulgale/core/places/placeProblems'
import { clockColumns, clockOf } from '../db/clockColumns'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { diagrams, placeEdits, sites, units } from '../db/schema'
import { RequestProblem } from '../requests/problem'
import { diagramsById } from './diagrams'

type Writes = Pick<Database, 'select' | 'insert' | 'update' | 'execute'>

/** Whose edits they are; the program's own have no person. */
interface Editor {
  readonly shopId: string
  readonly personId: string | null
}

/**
 * Keeps edits of sites and units, each once however often it is sent, and brings the rows of both up to date. Within a
 * transaction: all or none. Throws RequestProblem (409, 422) with the field of the edit.
 */
export async function storePlaceEdits(
  db: Writes,
  editor: Editor,
  edits: readonly PlaceEdit[],
): Promise<readonly string[]> {
  if (edits.length === 0) return []
  const alone = edits.flatMap((edit, k) => named(k, changeProblems(edit.of, edit.changes)))
  if (alone.length > 0) throw refused(alone)
  // one writer a shop: what a place becomes is worked out from all of its edits
  await db.execute(sql`select pg_advisory_xact_lock(hashtextextended(${editor.shopId}, 1))`)
  await db
    .insert(placeEdits)
    .values(
      edits.map(({ id, of, place, clock, changes }) => ({
        id,
        shopId: editor.shopId,
        personId: editor.personId,
        of,
        placeId: place,
        changes,
        ...clockColumns(clock),
      })),
    )
    .onConflictDoNothing()
  await refuseForeign(db, editor.shopId, edits)
  await bringPlacesUpToDate(db, editor.shopId, edits)
  await refuseUnguardedPlans(db, editor.shopId, edits)
  return edits.map(({ id }) => id)
}

const named = (k: number, problems: readonly FieldProblem[]): readonly FieldProblem[] =>
  problems.map(({ field, message }) => ({ field: `edits[${k}].${field}`, message }))

const refused = (fields: readonly FieldProblem[]): RequestProblem =>
  new RequestProblem(422, { error: 'a site or unit cannot be kept like this', fields })

/** An identity that was used for anything else, in this shop or another, is not taken over. */
async function refuseForeign(db: Writes, shopId: string, edits: readonly PlaceEdit[]): Promise<void> {
  const kept = await db
    .select({ id: placeEdits.id, place: placeEdits.placeId, of: placeEdits.of })
    .from(placeEdits)
    .where(
      ofShop(
        placeEdits,
        shopId,
        inArray(
          placeEdits.id,
          edits.map(({ id }) => id),
        ),
      ),
    )
  const byId = new Map(kept.map((row) => [row.id, row]))
  if (edits.some(({ id, place, of }) => byId.get(id)?.place !== place || byId.get(id)?.of !== of))
    throw new RequestProblem(409, { error: 'an edit with one of these ids exists elsewhere; take new ids' })
}

/** Every edit of those places that were edited more than once: the others have nothing that two people could differ on. */
export function editsOfChangedPlaces(
  db: Pick<Database, 'select'>,
  shopId: string,
): Promise<readonly PlaceEdit[]> {
  const changed = db
    .select({ place: placeEdits.placeId })
    .from(placeEdits)
    .where(ofShop(placeEdits, shopId))
    .groupBy(placeEdits.placeId)
    .having(sql`count(*) > 1`)
  return editsWhere(db, ofShop(placeEdits, shopId, inArray(placeEdits.placeId, changed)))
}

async function editsWhere(
  db: Pick<Database, 'select'>,
  where: SQL | undefined,
): Promise<readonly PlaceEdit[]> {
  const rows = await db.select().from(placeEdits).where(where)
  return rows.map((row) => ({
    id: row.id,
    of: row.of,
    place: row.placeId,
    changes: row.changes,
    clock: clockOf(row),
  }))
}

/**
 * Brings the rows of sites and units up to date with all that was ever said of the places of these edits, in a few
 * queries for however many. Throws RequestProblem (409, 422) with the field of the edit.
 */
export async function bringPlacesUpToDate(
  db: Writes,
  shopId: string,
  edits: readonly PlaceEdit[],
): Promise<void> {
  // sites before the units that stand on them
  for (const of of ['site', 'unit'] as const) {
    const places = [...new Set(edits.filter((edit) => edit.of === of).map(({ place }) => place))]
    if (places.length === 0) continue
    const folded = await foldedPlaces(db, shopId, of, places)
    const known = of === 'unit' ? await knownReferences(db, shopId, [...folded.values()]) : nothingKnown
    const problems = [...folded].flatMap(([place, values]) =>
      named(
        edits.findIndex((edit) => edit.place === place),
        [...lacking(of, values), ...(of === 'unit' ? unknownReferences(known, values) : [])],
      ),
    )
    if (problems.length > 0) throw refused(problems)
    const kept = of === 'site' ? await writeSites(db, shopId, folded) : await writeUnits(db, shopId, folded)
    if (kept !== places.length)
      throw new RequestProblem(409, { error: `a ${of} with this id exists elsewhere; take a new id` })
  }
}

/** Each is solved in every call: more are not planned at once. */
const mostPlans = 3

/** No plan takes a safety control out of its circuit. Throws RequestProblem (422). */
async function refuseUnguardedPlans(db: Writes, shopId: string, edits: readonly PlaceEdit[]): Promise<void> {
  const planFor = (edit: PlaceEdit): boolean =>
    edit.of === 'unit' && edit.changes.some(({ field, to }) => field === 'plan' && to !== '')
  const places = edits.filter(planFor).map(({ place }) => place)
  if (places.length === 0) return
  const rows = await db
    .select({ unit: units.id, diagram: units.diagramId, plan: units.planId })
    .from(units)
    .where(ofShop(units, shopId, inArray(units.id, places)))
  const pairs = [...new Map(rows.map((row) => [`${row.diagram} ${row.plan}`, row])).values()]
  const named = (unit: string, message: string): RequestProblem =>
    refused([{ field: `edits[${edits.findIndex(({ place }) => place === unit)}].plan`, message }])
  if (pairs.length > mostPlans)
    throw named(pairs[0].unit, `at most ${mostPlans} different plans at once; send the others after these`)
  const circuits = await diagramsById(
    db,
    shopId,
    pairs.flatMap(({ diagram, plan }) => [diagram, plan ?? diagram]),
  )
  for (const { unit, diagram, plan } of pairs) {
    const [now, then] = [circuits.get(diagram), circuits.get(plan ?? diagram)]
    const [lost] = now && then ? lostGuards(now, then) : []
    if (now && lost)
      throw named(
        unit,
        `${partWords(now, lost.guard)} would no longer stop ${partWords(now, lost.load)}: put it back in series`,
      )
  }
}

type FoldedPlaces = ReadonlyMap<string, FoldedPlace>

/** What each place has become, by all of its edits. */
async function foldedPlaces(
  db: Writes,
  shopId: string,
  of: PlaceKind,
  places: readonly string[],
): Promise<FoldedPlaces> {
  const byPlace = new Map<string, PlaceEdit[]>(places.map((place) => [place, []]))
  const all = await editsWhere(db, ofShop(placeEdits, shopId, inArray(placeEdits.placeId, [...places])))
  for (const edit of all) byPlace.get(edit.place)?.push(edit)
  return new Map([...byPlace].map(([place, edits]) => [place, foldPlace(of, edits)]))
}

/** Identities that this shop has, of those that units refer to. */
interface References {
  readonly sites: ReadonlySet<string>
  readonly diagrams: ReadonlySet<string>
}

const nothingKnown: References = { sites: new Set(), diagrams: new Set() }

async function knownReferences(
  db: Writes,
  shopId: string,
  folded: readonly FoldedPlace[],
): Promise<References> {
  const siteIds = [...new Set(folded.map(({ site }) => site.value))].filter(isUuid)
  const diagramIds = [...new Set(folded.flatMap(({ diagram, plan }) => [diagram.value, plan.value]))]
  const [foundSites, foundDiagrams] = await Promise.all([
    db
      .select({ id: sites.id })
      .from(sites)
      .where(ofShop(sites, shopId, inArray(sites.id, siteIds))),
    db
      .select({ id: diagrams.id })
      .from(diagrams)
      .where(ofShop(diagrams, shopId, inArray(diagrams.id, diagramIds))),
  ])
  return {
    sites: new Set(foundSites.map(({ id }) => id)),
    diagrams: new Set(foundDiagrams.map(({ id }) => id)),
  }
}

function unknownReferences(known: References, { site, diagram, plan }: FoldedPlace): readonly FieldProblem[] {
  return [
    ...(known.sites.has(site.value.toLowerCase()) || site.value === ''
      ? []
      : [{ field: 'site', message: 'this site is not known in this shop' }]),
    ...Object.entries({ diagram, plan })
      .filter(([, { value }]) => value !== '' && !known.diagrams.has(value))
      .map(([field]) => ({ field, message: 'this circuit is not known in this shop' })),
  ]
}

const isUuid = (text: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text)

/** What PostgreSQL would have written, where a row is there already. */
const written = (column: PgColumn): SQL => sql`excluded.${sql.identifier(column.name)}`

async function writeSites(db: Writes, shopId: string, folded: FoldedPlaces): Promise<number> {
  const rows = [...folded].map(([id, place]) => ({
    id,
    shopId,
    name: place.name.value.trim(),
    address: place.address.value,
    access: place.access.value,
    archived: place.archived.value === 'yes',
  }))
  const kept = await db
    .insert(sites)
    .values(rows)
    .onConflictDoUpdate({
      target: sites.id,
      set: {
        name: written(sites.name),
        address: written(sites.address),
        access: written(sites.access),
        archived: written(sites.archived),
      },
      setWhere: ofShop(sites, shopId),
    })
    .returning({ id: sites.id })
  return kept.length
}

async function writeUnits(db: Writes, shopId: string, folded: FoldedPlaces): Promise<number> {
  const rows = [...folded].map(([id, unit]) => ({
    id,
    shopId,
    siteId: unit.site.value,
    label: unit.label.value.trim(),
    place: unit.place.value,
    diagramId: unit.diagram.value,
    planId: unit.plan.value === '' ? null : unit.plan.value,
    make: unit.make.value,
    serial: unit.serial.value,
    installed: unit.installed.value === '' ? null : unit.installed.value,
    archived: unit.archived.value === 'yes',
  }))
  const kept = await db
    .insert(units)
    .values(rows)
    .onConflictDoUpdate({
      target: units.id,
      set: {
        siteId: written(units.siteId),
        label: written(units.label),
        place: written(units.place),
        diagramId: written(units.diagramId),
        planId: written(units.planId),
        make: written(units.make),
        serial: written(units.serial),
        installed: written(units.installed),
        archived: written(units.archived),
      },
      setWhere: ofShop(units, shopId),
    })
    .returning({ id: units.id })
  return kept.length
}
