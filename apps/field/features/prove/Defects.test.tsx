import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderVisit } from '../visit/testVisit'
import { Defects } from './Defects'

const mockTakePhoto = jest.fn().mockResolvedValue('entry')
jest.mock('../sync/SyncContext', () => ({ useSync: () => ({ takePhoto: mockTakePhoto }) }))
jest.mock('../photo/takePicture', () => ({ choosePicture: () => Promise.resolve('picture') }))
jest.mock('../sync/device', () => ({ readPhoto: () => Promise.resolve(undefined) }))

const show = (...entries: readonly EntryBody[]) =>
  renderVisit('rooftop-two-stage', entries, (visit) => <Defects visit={visit} />)
const cracked: EntryBody = { kind: 'defect', words: 'Drain pan cracked', recommend: 'New pan in spring' }

test('what is still wrong is noted with what is recommended, and stands in the list at once', () => {
  const onSaid = show()
  expect(screen.getByText('Nothing noted.')).toBeTruthy()
  fireEvent.press(screen.getByText('Something is still wrong'))
  fireEvent.changeText(screen.getByLabelText('What is still wrong'), ' Drain pan cracked ')
  fireEvent.changeText(screen.getByLabelText('Recommended, and why'), 'New pan in spring')
  fireEvent.press(screen.getByText('Note it'))
  expect(onSaid).toHaveBeenCalledWith(cracked)
  expect(screen.getByText('Drain pan cracked → New pan in spring')).toBeTruthy()
})

test('nothing is noted without words', () => {
  const onSaid = show()
  fireEvent.press(screen.getByText('Something is still wrong'))
  fireEvent.changeText(screen.getByLabelText('What is still wrong'), '   ')
  fireEvent.press(screen.getByText('Note it'))
  expect(onSaid).not.toHaveBeenCalled()
})

test('a picture of a defect says of which it is, and is shown with it', async () => {
  const photo: EntryBody = {
    kind: 'photo',
    photo: '9f1c3c9e-0a52-4d0e-8f5b-0a6c0f9b1a11',
    on: '0',
    words: 'Drain pan cracked',
  }
  show(cracked, { kind: 'defect', words: 'Filter rack bent' }, photo)
  fireEvent.press(screen.getByLabelText('Photo: Filter rack bent'))
  await waitFor(() => {
    expect(mockTakePhoto).toHaveBeenCalledWith('v', 'picture', { on: '1', words: 'Filter rack bent' })
  })
  await waitFor(() => {
    expect(screen.getAllByLabelText('Drain pan cracked')).toHaveLength(1)
  })
})

test('what is done leaves the list, and the log keeps both', () => {
  const onSaid = show(cracked)
  fireEvent.press(screen.getByLabelText('Drain pan cracked: done'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'defect-closed', entry: '0' })
  expect(screen.getByText('Nothing noted.')).toBeTruthy()
})
