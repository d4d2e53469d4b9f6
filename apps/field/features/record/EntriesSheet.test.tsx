import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { EntriesSheet } from './EntriesSheet'

jest.mock('../sync/SyncContext', () => ({ useSync: () => ({ takePhoto: jest.fn() }) }))

const live: EntryBody = { kind: 'reading', meter: 'volts', from: 'TB.Y1', to: 'TB.C', value: 252 }
const weather: EntryBody = { kind: 'condition', of: 'outdoorDryBulb', value: 16 }
const look: EntryBody = { kind: 'observation', what: 'pulled-in', of: 'CC1' }
const show = (...entries: readonly EntryBody[]) =>
  renderVisit('rooftop-two-stage', entries, (visit) => (
    <EntriesSheet visit={visit} open onClose={jest.fn()} />
  ))

test('what was entered stands newest first', () => {
  show(live, look)
  const words = screen.getAllByText(/TB\.Y1|contactor 1/).map(({ props }) => String(props.children))
  expect(words[0]).toMatch(/contactor 1/)
  expect(words[1]).toMatch(/252/)
})

test('a value that was typed wrong is put right, as it is typed now', async () => {
  const onSaid = show(live)
  fireEvent.press(screen.getByText(/252/))
  for (const digit of ['2', '5', 'Point', '2']) fireEvent.press(screen.getByLabelText(digit))
  fireEvent.press(screen.getByText(/^Log/))
  await waitFor(() => {
    expect(onSaid).toHaveBeenCalledTimes(1)
  })
  expect(onSaid.mock.calls[0][0]).toMatchObject({ kind: 'corrected', value: 25.2, typed: '25.2' })
  // back at the list, where the value that counts now stands
  expect(await screen.findByText('What was entered')).toBeTruthy()
})

test('a condition is put right in the same way; a look is only taken back', async () => {
  const onSaid = show(weather, look)
  fireEvent.press(screen.getByText(/contactor 1/))
  expect(screen.queryByText('What it should have said')).toBeNull()
  fireEvent.press(screen.getByText('Take it back: it was not so'))
  await waitFor(() => {
    expect(onSaid.mock.calls.map(([{ kind }]) => kind)).toEqual(['retracted'])
  })
  fireEvent.press(await screen.findByText(/16 °F/))
  expect(screen.getByText('What it should have said')).toBeTruthy()
})

test('a note is kept when it says anything', async () => {
  const onSaid = show()
  fireEvent.press(screen.getByText('Keep the note'))
  expect(onSaid).not.toHaveBeenCalled()
  fireEvent.changeText(screen.getByLabelText('Whatever the report should say'), ' Curb leaks at the east ')
  fireEvent.press(screen.getByText('Keep the note'))
  await waitFor(() => {
    expect(onSaid).toHaveBeenCalledWith({ kind: 'note', words: 'Curb leaks at the east' })
  })
})
