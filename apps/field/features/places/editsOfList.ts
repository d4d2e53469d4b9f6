import type { Places } from '@jokulgale/contract/places'
import type { FieldChange, PlaceKind } from '@jokulgale/core/places/placeEdit'
import { asChanges } from '@jokulgale/core/places/placeProblems'
import type { ListedUnit } from '@jokulgale/core/places/unitList'
import { newId } from '../sync/newId'

/** A place to be made, or to be changed where it is known already. */
export interface PlaceChange {
  readonly of: PlaceKind
  readonly place: string
  readonly changes: readonly FieldChange[]
}

/** What a list makes: its sites, each once, and its units. A unit that is there already is changed, not doubled. */
export function editsOfList(listed: readonly ListedUnit[], places: Places): readonly PlaceChange[] {
  const siteIds = new Map(places.sites.map(({ id, name }) => [name.toLowerCase(), id]))
  const edits: PlaceChange[] = []
  for (const { values, diagram } of listed) {
    const name = values.site.toLowerCase()
    const site = siteIds.get(name) ?? newId()
    if (!siteIds.has(name)) {
      siteIds.set(name, site)
      edits.push({
        of: 'site',
        place: site,
        changes: asChanges({ name: values.site, address: values.address }),
      })
    }
    const { label, place, make, serial, installed } = values
    const fields = { site, label, place, diagram, make, serial, installed }
    const known = places.units.find(
      (unit) => unit.site === site && unit.label.toLowerCase() === label.toLowerCase(),
    )
    const changes = asChanges(fields).flatMap(({ field, to }) => {
      const from = known ? String(known[field as keyof typeof fields]) : ''
      return from === to ? [] : [{ field, from, to }]
    })
    if (changes.length > 0) edits.push({ of: 'unit', place: known?.id ?? newId(), changes })
  }
  return edits
}
