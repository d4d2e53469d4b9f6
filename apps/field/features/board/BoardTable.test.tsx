import { fireEvent, render, screen } from '@testing-library/react-native'
import type { BoardItem } from '@jokulgale/contract/places'
import { testSite, testUnit } from '../places/testPlaces'
import { BoardTable } from './BoardTable'

const call = (visit: string, unit: string, over: Partial<BoardItem>): BoardItem => ({
  visit,
  unit: { ...testUnit, id: unit, label: unit },
  site: testSite,
  startedAt: '2026-11-20T08:00:00Z',
  complaint: 'not-cooling',
  words: '',
  state: 'waiting',
  outcome: '',
  technician: 'i',
  ...over,
})
const items = [
  call('1', 'RTU-1', {}),
  call('2', 'FC-4', { state: 'closed', outcome: 'restricted', technician: 't', words: 'Drips' }),
]
const names = new Map([
  ['i', 'Ines'],
  ['t', 'Tor'],
])

test('a row says all of its call, and opens it', () => {
  const onOpen = jest.fn()
  render(<BoardTable items={items} names={names} onOpen={onOpen} />)
  for (const words of ['“Drips”', 'Left restricted', 'Not cooling', 'Waiting'])
    expect(screen.getAllByText(words).length).toBeGreaterThan(0)
  fireEvent.press(screen.getByLabelText('FC-4, Skerry Baths'))
  expect(onOpen).toHaveBeenCalledWith('2')
})

test('narrowed by state, by who has it, by words; and what to do when nothing is left', () => {
  render(<BoardTable items={items} names={names} onOpen={jest.fn()} />)
  fireEvent.press(screen.getByText('Closed'))
  expect(screen.queryByText('RTU-1')).toBeNull()
  fireEvent.press(screen.getByText('All'))
  fireEvent.press(screen.getAllByText('Ines')[0])
  expect(screen.queryByText('FC-4')).toBeNull()
  fireEvent.changeText(screen.getByLabelText('Find'), 'drips')
  expect(screen.getByText('No call is like this. Take a filter away.')).toBeTruthy()
})
