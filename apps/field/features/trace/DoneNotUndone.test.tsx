import { fireEvent, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { DoneNotUndone } from './DoneNotUndone'

const show = (...entries: readonly EntryBody[]) =>
  renderVisit('fan-coil-cooling', entries, (visit) => <DoneNotUndone visit={visit} />)
const isolated: EntryBody = { kind: 'power', is: 'isolated' }

test('a lead that was lifted for a reading is said to be landed with one press', () => {
  const onSaid = show(isolated, { kind: 'action', do: 'lift', of: 'OS.Y-LPS.1' })
  fireEvent.press(screen.getByText('OS.Y-LPS.1 is landed'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'action', do: 'land', of: 'OS.Y-LPS.1' })
  expect(screen.queryByText('OS.Y-LPS.1 is landed')).toBeNull()
})

test('nothing stands where nothing was done', () => {
  show(isolated)
  expect(screen.queryByText('Done and not undone')).toBeNull()
})
