import type { DiagramRecord, Places, SiteRecord, UnitRecord } from '@jokulgale/contract/places'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import type { FieldChange, PlaceEdit } from '@jokulgale/core/places/placeEdit'
import { compareClocks } from '@jokulgale/core/visit/clock'
import type { NewDiagram } from '@jokulgale/contract/placeEdits'

const newSite = (id: string): SiteRecord => ({ id, name: '', address: '', access: '', archived: false })
const newUnit = (id: string): UnitRecord => ({
  id,
  site: '',
  label: '',
  place: '',
  diagram: '',
  plan: '',
  make: '',
  serial: '',
  installed: '',
  archived: false,
})

/** Sites, units and circuits as the server has them, with what was made of them on this device since. */
export function withEdits(heard: Places, edits: readonly PlaceEdit[], made: readonly NewDiagram[]): Places {
  const inOrder = [...edits].sort((a, b) => compareClocks(a.clock, b.clock))
  const edited = new Set(
    inOrder.flatMap(({ place, changes }) => changes.map(({ field }) => `${place} ${field}`)),
  )
  return {
    sites: changed(
      heard.sites,
      inOrder.filter(({ of }) => of === 'site'),
      newSite,
    ),
    units: changed(
      heard.units,
      inOrder.filter(({ of }) => of === 'unit'),
      newUnit,
    ),
    people: heard.people,
    diagrams: [
      ...heard.diagrams,
      ...made.filter(({ id }) => !heard.diagrams.some((known) => known.id === id)).map(asRecord),
    ],
    epoch: heard.epoch,
    others: heard.others.filter(({ place, field }) => !edited.has(`${place} ${field}`)),
  }
}

function changed<T extends { readonly id: string }>(
  heard: readonly T[],
  edits: readonly PlaceEdit[],
  anew: (id: string) => T,
): readonly T[] {
  const byId = new Map(heard.map((record) => [record.id, record]))
  for (const { place, changes } of edits)
    byId.set(place, changes.reduce(withChange, byId.get(place) ?? anew(place)))
  return [...byId.values()]
}

const withChange = <T>(record: T, { field, to }: FieldChange): T => ({
  ...record,
  [field]: field === 'archived' ? to === 'yes' : to,
})

const asRecord = ({ id, ladder, follows, why }: NewDiagram): DiagramRecord => ({
  id,
  title: knownLadder(ladder).title,
  ladder,
  follows,
  why,
  isBuiltIn: false,
})
