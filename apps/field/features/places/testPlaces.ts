import type { SiteRecord, UnitRecord } from '@jokulgale/contract/places'

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
