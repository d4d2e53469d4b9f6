import type { ListedUnit } from '@jokulgale/core/places/unitList'
import { editsOfList } from './editsOfList'
import { testPlaces, testUnit } from './testPlaces'

let mockMade = 0
jest.mock('../sync/newId', () => ({ newId: () => `new ${++mockMade}` }))

beforeEach(() => {
  mockMade = 0
})

const places = testPlaces({ units: [testUnit] })

const listed = (site: string, label: string, more: Partial<ListedUnit['values']> = {}): ListedUnit =>
  ({
    values: { site, label, address: '', place: '', make: '', serial: '', installed: '', ...more },
    diagram: 'd',
  }) as ListedUnit

test('a new site is made once for all of its units, whichever way it is written', () => {
  const edits = editsOfList([listed('Tern House', 'FC-1'), listed('tern house', 'FC-2')], places)
  expect(edits.map(({ of, place }) => [of, place])).toEqual([
    ['site', 'new 1'],
    ['unit', 'new 2'],
    ['unit', 'new 3'],
  ])
  const sites = edits.flatMap(({ of, changes }) =>
    of === 'unit' ? changes.filter(({ field }) => field === 'site').map(({ to }) => to) : [],
  )
  expect(sites).toEqual(['new 1', 'new 1'])
})

test('a unit that is there already is changed, by what the list says otherwise, and not doubled', () => {
  expect(editsOfList([listed('Skerry Baths', 'rtu-1', { make: 'Tern 12' })], places)).toEqual([
    {
      of: 'unit',
      place: 'u',
      changes: expect.arrayContaining([{ field: 'make', from: '', to: 'Tern 12' }]),
    },
  ])
})

test('one that the list says nothing new of makes no edit', () => {
  expect(editsOfList([listed('Skerry Baths', 'RTU-1')], places)).toEqual([])
})
