import { and, eq, inArray, sql, type SQL } from 'drizzle-orm'
import { foldPlace, type FoldedPlace } from '@jokulgale/core/places/foldPlace'
import type { PlaceEdit, PlaceKind } from '@jokulgale/core/places/placeEdit'
import { changeProblems, lacking, type FieldProblem } from '@jokulgale/core/places/placeProblems'
import { clockColumns, clockOf } from '../db/clockColumns'
import type { Database } from '../db/connect'
import { diagrams, placeEdits, sites, units } from '../db/schema'
import { RequestProblem } from '../requests/problem'

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
  // sites before the units that stand on them
  for (const of of ['site', 'unit'] as const) {
    const places = [...new Set(edits.filter((edit) => edit.of === of).map(({ place }) => place))]
    for (const place of places) await bringUpToDate(db, editor.shopId, of, place, edits)
  }
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
      and(
        eq(placeEdits.shopId, shopId),
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

/** Every edit of a place, from the log. */
const editsOfPlace = (db: Writes, shopId: string, place: string): Promise<readonly PlaceEdit[]> =>
  editsWhere(db, and(eq(placeEdits.shopId, shopId), eq(placeEdits.placeId, place)))

/** Every edit of those places that were edited more than once: the others have nothing that two people could differ on. */
export function editsOfChangedPlaces(
  db: Pick<Database, 'select'>,
  shopId: string,
): Promise<readonly PlaceEdit[]> {
  const changed = db
    .select({ place: placeEdits.placeId })
    .from(placeEdits)
    .where(eq(placeEdits.shopId, shopId))
    .groupBy(placeEdits.placeId)
    .having(sql`count(*) > 1`)
  return editsWhere(db, and(eq(placeEdits.shopId, shopId), inArray(placeEdits.placeId, changed)))
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

async function bringUpToDate(
  db: Writes,
  shopId: string,
  of: PlaceKind,
  place: string,
  edits: readonly PlaceEdit[],
): Promise<void> {
  const folded = foldPlace(of, await editsOfPlace(db, shopId, place))
  const at = edits.findIndex((edit) => edit.place === place)
  const problems = [
    ...lacking(of, folded),
    ...(of === 'unit' ? await unknownReferences(db, shopId, folded) : []),
  ]
  if (problems.length > 0) throw refused(named(at, problems))
  const kept =
    of === 'site' ? await writeSite(db, shopId, place, folded) : await writeUnit(db, shopId, place, folded)
  if (!kept) throw new RequestProblem(409, { error: `a ${of} with this id exists elsewhere; take a new id` })
}

async function unknownReferences(
  db: Writes,
  shopId: string,
  { site, diagram }: FoldedPlace,
): Promise<readonly FieldProblem[]> {
  const [foundSite] = isUuid(site.value)
    ? await db
        .select({ id: sites.id })
        .from(sites)
        .where(and(eq(sites.id, site.value), eq(sites.shopId, shopId)))
    : []
  const [foundDiagram] = await db
    .select({ id: diagrams.id })
    .from(diagrams)
    .where(and(eq(diagrams.id, diagram.value), eq(diagrams.shopId, shopId)))
  return [
    ...(foundSite || site.value === ''
      ? []
      : [{ field: 'site', message: 'this site is not known in this shop' }]),
    ...(foundDiagram || diagram.value === ''
      ? []
      : [{ field: 'diagram', message: 'this circuit is not known in this shop' }]),
  ]
}

const isUuid = (text: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text)

async function writeSite(db: Writes, shopId: string, id: string, folded: FoldedPlace): Promise<boolean> {
  const values = {
    name: folded.name.value.trim(),
    address: folded.address.value,
    access: folded.access.value,
    archived: folded.archived.value === 'yes',
  }
  const kept = await db
    .insert(sites)
    .values({ id, shopId, ...values })
    .onConflictDoUpdate({ target: sites.id, set: values, setWhere: eq(sites.shopId, shopId) })
    .returning({ id: sites.id })
  return kept.length > 0
}

async function writeUnit(db: Writes, shopId: string, id: string, folded: FoldedPlace): Promise<boolean> {
  const values = {
    siteId: folded.site.value,
    label: folded.label.value.trim(),
    place: folded.place.value,
    diagramId: folded.diagram.value,
    make: folded.make.value,
    serial: folded.serial.value,
    installed: folded.installed.value === '' ? null : folded.installed.value,
    archived: folded.archived.value === 'yes',
  }
  const kept = await db
    .insert(units)
    .values({ id, shopId, ...values })
    .onConflictDoUpdate({ target: units.id, set: values, setWhere: eq(units.shopId, shopId) })
    .returning({ id: units.id })
  return kept.length > 0
}
