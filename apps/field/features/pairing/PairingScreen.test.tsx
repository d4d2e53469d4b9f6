import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { Pairing } from '@jokulgale/contract/records'
import { storeWithPlaces, testUnit } from '../places/testPlaces'
import { renderInApp } from '../testApp'
import { PairingScreen } from './PairingScreen'

const mockSync = {
  startVisit: jest.fn(() => Promise.resolve('v1')),
  say: jest.fn(() => Promise.resolve('e1')),
  send: jest.fn(() => Promise.resolve()),
}
const mockNavigate = jest.fn()
let mockPairing: Pairing
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: mockNavigate }) }))
jest.mock('../sync/SyncContext', () => ({ useSync: () => mockSync }))
jest.mock('../sync/request', () => ({ request: () => Promise.resolve(mockPairing) }))

const units = [
  { ...testUnit, id: 'u1', label: 'RTU-1', place: 'north end' },
  { ...testUnit, id: 'u2', label: 'RTU-2', place: 'by the hatch' },
]
const show = async (pairing: Partial<Pairing> = {}) => {
  mockPairing = { pairs: [], steps: [], places: [], ...pairing }
  renderInApp(<PairingScreen siteId="s" />, storeWithPlaces({ units }))
  await waitFor(() => {
    expect(screen.getByText('Proven pairs')).toBeTruthy()
  })
}

beforeEach(() => {
  jest.clearAllMocks()
})

test('a site that is not known here is said to be so', () => {
  renderInApp(<PairingScreen siteId="elsewhere" />)
  expect(screen.getByText('This site is not known here.')).toBeTruthy()
})

test('a step is said in a visit to one of the site’s units, once it says what answered', async () => {
  await show()
  fireEvent.press(screen.getByText('Tone on a pair'))
  expect(screen.getByText(/Take the tone set off before power returns/)).toBeTruthy()
  fireEvent.changeText(screen.getByLabelText('Thermostat or pair'), 'Hall 2')
  fireEvent.press(screen.getByText('Record this step'))
  expect(mockSync.say).not.toHaveBeenCalled()
  fireEvent.changeText(screen.getByLabelText('What answered'), 'RTU-2 hums')
  fireEvent.press(screen.getByText('Record this step'))
  await waitFor(() => {
    expect(mockSync.send).toHaveBeenCalled()
  })
  expect(mockSync.startVisit).toHaveBeenCalledWith('u1')
  expect(mockSync.say).toHaveBeenCalledWith('v1', {
    kind: 'pairing-step',
    method: 'tone',
    of: 'Hall 2',
    outcome: 'RTU-2 hums',
  })
})

test('a pair is proven with its thermostat and unit, and labelled for good', async () => {
  await show()
  fireEvent.changeText(screen.getByLabelText('Thermostat'), 'Hall 2')
  fireEvent.press(screen.getByText('This pair is proven'))
  expect(mockSync.say).not.toHaveBeenCalled()
  fireEvent.press(screen.getAllByText('RTU-2').slice(-1)[0])
  fireEvent.press(screen.getByText('This pair is proven'))
  await waitFor(() => {
    expect(mockSync.say).toHaveBeenCalledTimes(1)
  })
  expect(mockSync.say).toHaveBeenCalledWith(
    'v1',
    expect.objectContaining({
      kind: 'pairing',
      thermostat: 'Hall 2',
      indoor: 'RTU-2',
      label: 'RTU-2 · Hall 2',
    }),
  )
})

test('a unit is placed on the sketch by choosing it and tapping where it stands', async () => {
  await show({ places: [{ kind: 'placed', of: 'RTU-1', x: 8, y: 12 }] })
  expect(await screen.findByLabelText(/^Row 1 of 4 .* place 1 of 6: RTU-1$/)).toBeTruthy()
  fireEvent.press(screen.getByLabelText(/^Row 2 of 4 .* place 3 of 6: empty$/))
  expect(mockSync.say).not.toHaveBeenCalled()
  fireEvent.press(screen.getAllByText('RTU-2')[0])
  fireEvent.press(screen.getByLabelText(/^Row 2 of 4 .* place 3 of 6: empty$/))
  await waitFor(() => {
    expect(mockSync.say).toHaveBeenCalled()
  })
  expect(mockSync.say).toHaveBeenCalledWith('v1', {
    kind: 'placed',
    of: 'RTU-2',
    // the middle of the third of six, and of the second of four
    x: expect.closeTo(41.7, 1),
    y: expect.closeTo(37.5, 1),
  })
})
