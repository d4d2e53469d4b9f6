import type { Places } from '@jokulgale/contract/places'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { listedUnits, mappingOf } from '@jokulgale/core/places/unitList'
import { changesOf } from './changesOf'
import { circuitsToChoose } from './circuits'
import { editsOfList } from './editsOfList'
import { testUnit } from './testPlaces'
import { withEdits } from './withEdits'

const circuit = (id: string, follows: string, isBuiltIn: boolean) => ({
  id,
  title: id,
  ladder: '',
  follows,
  why: '',
  isBuiltIn,
})
const unit = { ...testUnit, place: 'Roof' }
const heard: Places = {
  sites: [{ id: 's', name: 'Gannet Hall', address: '', access: '', archived: false }],
  units: [unit],
  diagrams: [circuit('d', '', true)],
  people: [],
  epoch: '',
  others: [{ place: 'u', field: 'serial', value: 'SN-2' }],
}
const edit = (wall: number, place: string, field: string, to: string, of: 'site' | 'unit' = 'unit') => ({
  id: `${wall}`,
  of,
  place,
  clock: { wall, counter: 0, device: 'here' },
  changes: [{ field, from: '', to }],
})

test('what was made here shows over what the server has, in the order that it was said', () => {
  const shown = withEdits(
    heard,
    [
      edit(2, 'u', 'serial', 'second'),
      edit(1, 'u', 'serial', 'first'),
      edit(3, 'new', 'name', 'Tern House', 'site'),
    ],
    [{ id: 'own', ladder: builtInUnitText('fan-coil-cooling'), follows: 'd', why: '' }],
  )
  expect(shown.units[0].serial).toBe('second')
  expect(shown.sites.map(({ name }) => name)).toEqual(['Gannet Hall', 'Tern House'])
  expect(shown.diagrams.at(-1)).toMatchObject({ id: 'own', isBuiltIn: false, follows: 'd' })
  // a field set here is settled here
  expect(shown.others).toEqual([])
})

test('archived is taken off again by an empty value', () => {
  const once = withEdits(heard, [edit(1, 'u', 'archived', 'yes')], [])
  expect(once.units[0].archived).toBe(true)
  expect(withEdits(once, [edit(2, 'u', 'archived', '')], []).units[0].archived).toBe(false)
})

test('of each line of versions only the newest is offered; one of the program stays beside what was made of it', () => {
  const all = [
    circuit('rooftop', '', true),
    circuit('rooftop 2', 'rooftop', true),
    circuit('own', 'rooftop 2', false),
    circuit('own 2', 'own', false),
  ]
  expect(circuitsToChoose(all, []).map(({ id }) => id)).toEqual(['rooftop 2', 'own 2'])
  // planned for a unit, it is not there yet
  const planned = [{ diagram: 'own', plan: 'own 2' }]
  expect(circuitsToChoose(all, planned).map(({ id }) => id)).toEqual(['rooftop 2', 'own'])
})

test('a list makes each site once, and changes a unit that is there rather than doubling it', () => {
  const rows = [
    ['gannet hall', 'rtu-1', 'SN-9'],
    ['Tern House', 'FC-1', ''],
    ['Tern House', 'FC-2', ''],
  ]
  const listed = listedUnits(rows, mappingOf(['site', 'unit', 'serial']), [], 'd', 2027)
  const edits = editsOfList(listed, heard)
  expect(edits.map(({ of }) => of)).toEqual(['unit', 'site', 'unit', 'unit'])
  expect(edits[0]).toMatchObject({ place: 'u' })
  expect(edits[0].changes).toContainEqual({ field: 'serial', from: '', to: 'SN-9' })
  expect(edits[0].changes.map(({ field }) => field)).not.toContain('diagram')
})

test('a form changes only what says something else', () => {
  expect(changesOf({ a: '1', b: '2' }, { a: '1 ', b: '3' })).toEqual([{ field: 'b', from: '2', to: '3' }])
})
