import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { storeWithPlaces, testUnit } from '../places/testPlaces'
import { renderInApp } from '../testApp'
import { renderVisit } from '../visit/testVisit'
import { ControlsForm } from './ControlsForm'
import { NewCallScreen } from './NewCallScreen'

const mockSync = {
  startVisit: jest.fn(() => Promise.resolve('v1')),
  say: jest.fn(() => Promise.resolve('e1')),
}
const mockReplace = jest.fn()
jest.mock('expo-router', () => ({ useRouter: () => ({ replace: mockReplace, navigate: jest.fn() }) }))
jest.mock('../sync/SyncContext', () => ({ useSync: () => mockSync }))
jest.mock('../sync/request', () => ({ request: () => Promise.reject(new Error('no signal')) }))
jest.mock('../../workers/diagnosis', () => ({ usePrepared: jest.fn() }))

beforeEach(() => {
  jest.clearAllMocks()
})

const show = (id = 'u') => {
  const ladder = builtInUnitText('fan-coil-cooling')
  const diagram = { id: 'd', title: 'Fan coil', ladder, follows: '', why: '', isBuiltIn: true }
  renderInApp(<NewCallScreen unitId={id} />, storeWithPlaces({ units: [testUnit], diagrams: [diagram] }))
}

test('a call is taken by its complaint, in the customer’s words, and opens', async () => {
  show()
  fireEvent.changeText(screen.getByLabelText('In the customer’s words'), '  It blows warm ')
  fireEvent.press(screen.getByText('Not cooling'))
  await waitFor(() => {
    expect(mockReplace).toHaveBeenCalledWith('/visits/v1')
  })
  expect(mockSync.startVisit).toHaveBeenCalledWith('u')
  expect(mockSync.say.mock.calls).toEqual([
    ['v1', { kind: 'complaint', complaint: 'not-cooling', words: 'It blows warm' }],
  ])
})

test('whoever else makes the call is said with it', async () => {
  show()
  fireEvent.press(screen.getByText('Building system'))
  fireEvent.press(screen.getByText('Not cooling'))
  await waitFor(() => {
    expect(mockReplace).toHaveBeenCalled()
  })
  expect(mockSync.say).toHaveBeenLastCalledWith('v1', { kind: 'controls', by: 'building' })
})

test('a unit that is not known here takes no call', () => {
  show('elsewhere')
  expect(screen.getByText(/not known here/)).toBeTruthy()
  expect(screen.queryByText('Not cooling')).toBeNull()
})

test('who controls the call: the telephone is kept when it is left, and they confirm that they call', () => {
  const onSaid = renderVisit('fan-coil-cooling', [], (visit) => <ControlsForm visit={visit} />)
  expect(screen.queryByLabelText('Their telephone')).toBeNull()
  fireEvent.press(screen.getByText('Energy company'))
  expect(onSaid).toHaveBeenLastCalledWith({ kind: 'controls', by: 'energy-company' })
  fireEvent.changeText(screen.getByLabelText('Their telephone'), '555 0100')
  fireEvent(screen.getByLabelText('Their telephone'), 'blur')
  expect(onSaid).toHaveBeenLastCalledWith({
    kind: 'controls',
    by: 'energy-company',
    telephone: '555 0100',
    confirmed: false,
  })
  fireEvent.press(screen.getByRole('checkbox', { name: 'They confirmed that they are calling' }))
  expect(onSaid).toHaveBeenLastCalledWith({
    kind: 'controls',
    by: 'energy-company',
    telephone: '555 0100',
    confirmed: true,
  })
})
