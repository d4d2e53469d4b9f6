import { act, fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { RepairTab } from './RepairTab'

jest.mock('../sync/SyncContext', () => ({ useSync: () => ({ takePhoto: jest.fn() }) }))

const show = (...entries: readonly EntryBody[]) =>
  renderVisit('rooftop-two-stage', entries, (visit) => <RepairTab visit={visit} />)

const cause: EntryBody = {
  kind: 'cause',
  of: 'CC1',
  words: 'Compressor contactor 1: coil open',
  fault: 'CC1:coil-open',
}
const repair: EntryBody = {
  kind: 'repair',
  of: 'CC1',
  words: 'Compressor contactor 1: coil open',
  fault: 'CC1:coil-open',
}

test('what was taken for the cause is not repaired until somebody says so', () => {
  const onSaid = show(cause)
  expect(screen.getByLabelText('Repaired, or a part fitted: not yet')).toBeTruthy()
  fireEvent.press(screen.getByText('It is repaired'))
  expect(onSaid).toHaveBeenCalledWith(repair)
  expect(screen.getByLabelText('Repaired, or a part fitted: done')).toBeTruthy()
  expect(screen.queryByText('It is repaired')).toBeNull()
})

test('a part that is fitted in the place of the cause is its repair', async () => {
  const onSaid = show(cause)
  fireEvent.press(screen.getByText('A part is fitted'))
  fireEvent.press(screen.getByText('New'))
  await act(async () => {
    fireEvent.press(screen.getByText('Record the part'))
    await Promise.resolve()
  })
  await waitFor(() => {
    expect(onSaid.mock.calls.map(([{ kind }]) => kind)).toEqual(['part-used', 'repair'])
  })
  expect(onSaid.mock.calls[1][0]).toEqual(repair)
})

test('before a lead is touched the isolation is asked for, and the steps say when it is done', () => {
  show(cause)
  expect(screen.getByText(/prove it dead before a lead is touched/)).toBeTruthy()
  expect(screen.getByLabelText('Isolated and proven dead: not yet')).toBeTruthy()
})

test('isolated, the caution is gone', () => {
  show(cause, { kind: 'power', is: 'isolated' })
  expect(screen.queryByText(/prove it dead before a lead is touched/)).toBeNull()
  expect(screen.getByLabelText('Isolated and proven dead: done')).toBeTruthy()
})

test('what only opened is not repaired before somebody says what tripped it', () => {
  const tripped = { of: 'LPS1', words: 'Low-pressure switch 1: open on low pressure', fault: 'LPS1:tripped' }
  const onSaid = show({ kind: 'cause', ...tripped })
  expect(screen.queryByLabelText(/^Its leads noted/)).toBeNull()
  fireEvent.press(screen.getByText('It is repaired'))
  expect(onSaid).not.toHaveBeenCalled()
  fireEvent.changeText(screen.getByLabelText('What tripped it'), ' coil frozen, filter blocked ')
  fireEvent.press(screen.getByText('It is repaired'))
  expect(onSaid).toHaveBeenCalledWith({
    kind: 'repair',
    ...tripped,
    trippedBy: 'coil frozen, filter blocked',
  })
  expect(screen.queryByLabelText('What tripped it')).toBeNull()
})
