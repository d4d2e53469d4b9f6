import type { BoardItem } from '@jokulgale/contract/places'
import { callRows, complaintOf, everyCall } from './callRows'

const site = { id: 's', name: 'Skerry Baths', address: 'North stairs' }
const call = (visit: string, over: Partial<BoardItem>): BoardItem =>
  ({
    visit,
    unit: { id: 'u', label: 'RTU-1' },
    site,
    startedAt: `2026-11-0${visit}T08:00:00Z`,
    complaint: 'not-cooling',
    words: '',
    state: 'waiting',
    outcome: '',
    technician: 'ines',
    ...over,
  }) as unknown as BoardItem

const calls = [
  call('1', {}),
  call('2', { state: 'closed', technician: 'rolf', words: 'Hums on the roof' }),
  call('3', { state: 'under-way', unit: { id: 'v', label: 'FC-4' } as unknown as BoardItem['unit'] }),
]
const shown = (filter: Partial<typeof everyCall>): readonly string[] =>
  callRows(calls, { ...everyCall, ...filter }).map(({ visit }) => visit)

test('all calls, the newest first', () => {
  expect(shown({})).toEqual(['3', '2', '1'])
})

test('by state, by technician, by words in any order and case, together', () => {
  expect(shown({ state: 'closed' })).toEqual(['2'])
  expect(shown({ technician: 'ines' })).toEqual(['3', '1'])
  expect(shown({ sought: 'roof RTU' })).toEqual(['2'])
  expect(shown({ sought: 'baths fc-4', technician: 'ines' })).toEqual(['3'])
  expect(shown({ sought: 'roof', state: 'waiting' })).toEqual([])
})

test('a complaint is in the customer’s words, or as the unit’s list has it', () => {
  expect(complaintOf(calls[1])).toBe('“Hums on the roof”')
  expect(complaintOf(calls[0])).toBe('Not cooling')
})
