import { act, fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { LeadsPart } from './LeadsPart'

jest.mock('../sync/SyncContext', () => ({ useSync: () => ({ takePhoto: jest.fn() }) }))

const show = (...entries: readonly EntryBody[]) =>
  renderVisit('fan-coil-cooling', entries, (visit) => <LeadsPart visit={visit} part="FLT" />)
const found = (terminal: string, color: string, number: string): EntryBody => ({
  kind: 'lead-found',
  of: 'FLT',
  terminal,
  color,
  number,
})

test('leads as drawn are noted in one press, each as an entry of its own', async () => {
  const onSaid = show()
  await act(async () => {
    fireEvent.press(screen.getByText('As drawn: note all 3 leads'))
    await Promise.resolve()
  })
  await waitFor(() => {
    expect(onSaid.mock.calls.map(([body]) => body)).toEqual([
      found('FLT.1', 'red', '21'),
      found('FLT.2', 'red', '22'),
      found('FLT.AL', 'pink', '23'),
    ])
  })
})

test('a lead is landed once, where it came from', () => {
  const onSaid = show(found('FLT.1', 'red', '21'))
  fireEvent.press(screen.getByRole('checkbox', { name: /FLT\.1/ }))
  expect(onSaid).toHaveBeenCalledWith({
    kind: 'lead-landed',
    of: 'FLT',
    terminal: 'FLT.1',
    color: 'red',
    number: '21',
  })
  fireEvent.press(screen.getByRole('checkbox', { name: /FLT\.1/ }))
  expect(onSaid).toHaveBeenCalledTimes(1)
})

test('a lead that is not on the diagram like this is said to be that before it is landed', () => {
  show(found('FLT.1', 'yellow', '29'))
  expect(screen.getByText('Not on the diagram like this. Compare before you land it.')).toBeTruthy()
})

test('a terminal that the unit does not have is named, and nothing is noted', () => {
  const onSaid = show()
  fireEvent.press(screen.getByText('Something is not as drawn'))
  fireEvent.changeText(screen.getByLabelText('Terminal it was found on'), 'FLT.9')
  fireEvent.changeText(screen.getByLabelText('Colour'), 'blue')
  expect(screen.getByText('FLT.9 is not on this unit')).toBeTruthy()
  fireEvent.press(screen.getByText('Note this lead'))
  expect(onSaid).not.toHaveBeenCalled()
  fireEvent.changeText(screen.getByLabelText('Terminal it was found on'), 'FLT.AL')
  fireEvent.press(screen.getByText('Note this lead'))
  expect(onSaid).toHaveBeenCalledWith(found('FLT.AL', 'blue', ''))
})
