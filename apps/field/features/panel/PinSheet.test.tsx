import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import { Image } from 'react-native'
import { request } from '../sync/request'
import { renderInApp } from '../testApp'
import { renderVisit } from '../visit/testVisit'
import { PinSheet } from './PinSheet'
import { SpotThumb } from './SpotThumb'

jest.mock('../sync/request', () => ({
  ...jest.requireActual<object>('../sync/request'),
  request: jest.fn(),
}))
const mockTakePhoto = jest.fn(() => Promise.resolve('p2'))
jest.mock('../sync/SyncContext', () => ({ useSync: () => ({ takePhoto: mockTakePhoto }) }))
jest.mock('../photo/takePicture', () => ({ choosePicture: () => Promise.resolve('picture') }))
jest.mock('../sync/device', () => ({
  readPhoto: () => Promise.resolve(undefined),
  readFact: () => Promise.resolve(undefined),
  writeFact: () => Promise.resolve(),
}))
jest.mocked(request).mockResolvedValue({
  spots: [],
  photos: [{ photo: 'p1', words: 'Panel', day: '2026-05-01' }],
})

beforeEach(() => {
  jest.spyOn(Image, 'getSize').mockImplementation(() => undefined)
})

const onClose = jest.fn()
const pinning = () =>
  renderVisit('fan-coil-cooling', [], (visit) => <PinSheet visit={visit} point="TB.R" onClose={onClose} />)

test('a point is pinned on a picture of an earlier visit, by finger or by arrow keys', async () => {
  const said = pinning()
  const panel = await screen.findByText('Panel')
  expect(screen.queryByText('taken on this visit')).toBeNull()
  fireEvent.press(panel)
  const picture = screen.getByLabelText('The spot of TB.R on the picture')
  // nothing is pinned before a place was shown
  fireEvent.press(screen.getByText('It is here'))
  expect(said).not.toHaveBeenCalled()
  fireEvent(picture, 'layout', { nativeEvent: { layout: { width: 300, height: 200, x: 0, y: 0 } } })
  fireEvent.press(picture, { nativeEvent: { offsetX: 75, offsetY: 180 } })
  // the keys that press it leave the ring where it is
  fireEvent.press(picture, { nativeEvent: { key: 'Enter' } })
  fireEvent(picture, 'keyDown', { key: 'ArrowRight', preventDefault: () => undefined })
  fireEvent(picture, 'keyDown', { key: 'Tab', preventDefault: () => undefined })
  fireEvent.press(screen.getByText('It is here'))
  expect(said).toHaveBeenCalledWith({ kind: 'pinned', photo: 'p1', of: 'TB.R', x: 27, y: 90 })
  await waitFor(() => {
    expect(onClose).toHaveBeenCalled()
  })
})

test('or on one that is taken now; what is tapped outside it is brought to its edge', async () => {
  const said = pinning()
  fireEvent.press(screen.getByText('Take a picture of the panel'))
  const picture = await screen.findByLabelText('The spot of TB.R on the picture')
  expect(mockTakePhoto).toHaveBeenCalledWith(expect.anything(), 'picture', { words: 'Panel' })
  fireEvent(picture, 'layout', { nativeEvent: { layout: { width: 300, height: 200, x: 0, y: 0 } } })
  fireEvent.press(picture, { nativeEvent: { locationX: 310, locationY: -4 } })
  fireEvent.press(screen.getByText('It is here'))
  expect(said).toHaveBeenCalledWith({ kind: 'pinned', photo: 'p2', of: 'TB.R', x: 100, y: 0 })
})

test('the spot of a point is shown small, and whole when tapped', async () => {
  renderInApp(<SpotThumb point="TB.R" words="terminal R" spot={{ photo: 'p1', x: 27, y: 90 }} />)
  fireEvent.press(screen.getByLabelText('Where TB.R is'))
  expect(await screen.findByText('terminal R')).toBeTruthy()
})
