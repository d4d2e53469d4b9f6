import type { Places, SiteRecord, UnitRecord } from '@jokulgale/contract/places'
import { createAppStore } from '../store'
import { placesKnown } from './placesSlice'

/** A site and a unit of it, as the server tells them: for tests. */
export const testSite: SiteRecord = {
  id: 's',
  name: 'Skerry Baths',
  address: '',
  access: '',
  archived: false,
}
export const testUnit: UnitRecord = {
  id: 'u',
  site: 's',
  label: 'RTU-1',
  place: '',
  diagram: 'd',
  plan: '',
  make: '',
  serial: '',
  installed: '',
  archived: false,
}

/** The places of a shop with this site alone, and what a test gives in place of it or beside it. */
export const testPlaces = (given: Partial<Places> = {}): Places => ({
  sites: [testSite],
  units: [],
  diagrams: [],
  people: [],
  others: [],
  epoch: '',
  ...given,
})

/** A store that has heard of such places. */
export function storeWithPlaces(given: Partial<Places> = {}): ReturnType<typeof createAppStore> {
  const store = createAppStore()
  store.dispatch(placesKnown(testPlaces(given)))
  return store
}
