import fc from 'fast-check'
import { foldPlace } from './foldPlace'
import type { FieldChange, PlaceEdit } from './placeEdit'
import { changeProblems, isDay, lacking } from './placeProblems'

const edit = (wall: number, device: string, ...changes: readonly FieldChange[]): PlaceEdit => ({
  id: `${device}-${wall}`,
  of: 'unit',
  place: 'u',
  clock: { wall, counter: 0, device },
  changes,
})
const made = edit(1, 'a', { field: 'label', from: '', to: 'RTU-1' }, { field: 'place', from: '', to: 'Roof' })

test('the later of two changes shows, and what it had not seen is offered until the field is set again', () => {
  const here = edit(5, 'a', { field: 'place', from: 'Roof', to: 'Roof, north' })
  const there = edit(6, 'b', { field: 'place', from: 'Roof', to: 'Roof, by the hatch' })
  const both = foldPlace('unit', [made, there, here])
  expect(both.place).toEqual({ value: 'Roof, by the hatch', other: 'Roof, north' })
  expect(both.label).toEqual({ value: 'RTU-1', other: null })
  const chosen = edit(9, 'a', { field: 'place', from: 'Roof, by the hatch', to: 'Roof, north' })
  expect(foldPlace('unit', [made, there, here, chosen]).place).toEqual({ value: 'Roof, north', other: null })
})

test('a change that had seen the one before it, or says the same, offers nothing', () => {
  const first = edit(5, 'a', { field: 'place', from: 'Roof', to: 'Cellar' })
  expect(
    foldPlace('unit', [made, first, edit(6, 'b', { field: 'place', from: 'Cellar', to: 'Attic' })]).place,
  ).toEqual({ value: 'Attic', other: null })
  expect(
    foldPlace('unit', [made, first, edit(6, 'b', { field: 'place', from: 'Roof', to: 'Cellar' })]).place,
  ).toEqual({ value: 'Cellar', other: null })
})

test('the order of arrival and arriving twice change nothing', () => {
  const anEdit = fc
    .record({
      wall: fc.integer({ min: 1, max: 30 }),
      device: fc.constantFrom('a', 'b', 'c'),
      field: fc.constantFrom('label', 'place', 'serial'),
      from: fc.constantFrom('', 'x', 'y'),
      to: fc.constantFrom('x', 'y', 'z'),
    })
    .map(({ wall, device, field, from, to }) => edit(wall, device, { field, from, to }))
  fc.assert(
    fc.property(
      fc.uniqueArray(anEdit, { selector: ({ id }) => id, maxLength: 12 }),
      fc.nat(),
      (edits, seed) => {
        const turned = [...edits.slice(seed % (edits.length + 1)), ...edits].reverse()
        expect(foldPlace('unit', turned)).toEqual(foldPlace('unit', edits))
      },
    ),
  )
})

test('days that do not exist, fields that a place does not have and long texts are named', () => {
  expect(isDay('2024-02-29', 2026)).toBe(true)
  for (const none of ['2023-02-29', '2023-13-01', '14-05-12', '1890-01-01', '2050-01-01', 'May'])
    expect([none, isDay(none, 2026)]).toEqual([none, false])
  expect(
    changeProblems('unit', [
      { field: 'colour', from: '', to: 'red' },
      { field: 'installed', from: '', to: '2023-02-30' },
      { field: 'serial', from: '', to: 'x'.repeat(201) },
      { field: 'make', from: '', to: 'Fjordline 120' },
    ]).map(({ field }) => field),
  ).toEqual(['colour', 'installed', 'serial'])
})

test('a unit without a site or a circuit lacks them', () => {
  expect(lacking('unit', foldPlace('unit', [made])).map(({ field }) => field)).toEqual(['site', 'diagram'])
})
