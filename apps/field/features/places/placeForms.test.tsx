import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import type { OtherValue } from '@jokulgale/contract/places'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { renderInApp } from '../testApp'
import { SiteForm } from './SiteForm'
import { storeWithPlaces, testUnit } from './testPlaces'
import { UnitForm } from './UnitForm'

const mockSync = {
  editPlace: jest.fn(() => Promise.resolve()),
  makeDiagram: jest.fn(() => Promise.resolve('new circuit')),
}
const mockNavigate = jest.fn()
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: mockNavigate }) }))
jest.mock('../sync/SyncContext', () => ({ useSync: () => mockSync }))
jest.mock('../sync/newId', () => ({ newId: () => 'new id' }))

beforeEach(() => {
  jest.clearAllMocks()
})

const circuit = {
  id: 'd',
  title: 'Ceiling fan coil',
  ladder: builtInUnitText('fan-coil-cooling'),
  follows: '',
  why: '',
  isBuiltIn: true,
}

const storeWith = (others: readonly OtherValue[] = []) =>
  storeWithPlaces({ units: [testUnit], diagrams: [circuit], others })

/** What was kept, once the form has been sent. */
async function kept(): Promise<unknown> {
  await waitFor(() => {
    expect(mockNavigate).toHaveBeenCalled()
  })
  return mockSync.editPlace.mock.calls
}

describe('a site', () => {
  test('needs a name; what is typed stays when it is refused', async () => {
    renderInApp(<SiteForm id={null} />, storeWith())
    fireEvent.changeText(screen.getByLabelText('Address'), '1 Skerry Lane')
    fireEvent.press(screen.getByText('Add the site'))
    expect(await screen.findByText('a site needs a name')).toBeTruthy()
    expect(screen.getByLabelText('Address').props.value).toBe('1 Skerry Lane')
    expect(mockSync.editPlace).not.toHaveBeenCalled()
    fireEvent.changeText(screen.getByLabelText('Name of the site'), ' Tern House ')
    fireEvent.press(screen.getByText('Add the site'))
    expect(await kept()).toEqual([
      [
        'site',
        'new id',
        [
          { field: 'name', from: '', to: 'Tern House' },
          { field: 'address', from: '', to: '1 Skerry Lane' },
        ],
      ],
    ])
  })

  test('edited, only what was changed is sent, with what it was before', async () => {
    renderInApp(<SiteForm id="s" />, storeWith())
    fireEvent.changeText(screen.getByLabelText('How to get in'), 'Key at the desk')
    fireEvent.press(screen.getByText('Keep'))
    expect(await kept()).toEqual([['site', 's', [{ field: 'access', from: '', to: 'Key at the desk' }]]])
  })

  test('is archived, never deleted', () => {
    renderInApp(<SiteForm id="s" />, storeWith())
    fireEvent.press(screen.getByText('Archive this site'))
    expect(mockSync.editPlace).toHaveBeenCalledWith('site', 's', [{ field: 'archived', from: '', to: 'yes' }])
  })

  test('two who wrote it at the same time: both are there, and one is taken', () => {
    renderInApp(<SiteForm id="s" />, storeWith([{ place: 's', field: 'name', value: 'Skerry Pool' }]))
    expect(screen.getByText(/“Skerry Baths” and “Skerry Pool”/)).toBeTruthy()
    fireEvent.press(screen.getByText('Take “Skerry Pool”'))
    expect(mockSync.editPlace).toHaveBeenCalledWith('site', 's', [
      { field: 'name', from: 'Skerry Baths', to: 'Skerry Pool' },
    ])
  })
})

describe('a unit', () => {
  test('needs its label and its circuit; its day is a day or nothing', async () => {
    renderInApp(<UnitForm id={null} siteId="s" />, storeWith())
    fireEvent.changeText(screen.getByLabelText('Installed, if known'), 'last spring')
    fireEvent.press(screen.getByText('Add the unit'))
    expect(await screen.findByText(/a unit needs a label/)).toBeTruthy()
    expect(screen.getByText(/write the day as 2014-05-12/)).toBeTruthy()
    expect(screen.getByText('Choose the circuit that the unit has')).toBeTruthy()
    expect(mockSync.editPlace).not.toHaveBeenCalled()
  })

  test('with a circuit of the list it is made on its site', async () => {
    renderInApp(<UnitForm id={null} siteId="s" />, storeWith())
    fireEvent.changeText(screen.getByLabelText('Label, as on its door'), 'FC-4')
    fireEvent.press(screen.getByText('Choose its circuit'))
    fireEvent.press(screen.getByText('Ceiling fan coil'))
    fireEvent.press(screen.getByText('Add the unit'))
    expect(await kept()).toEqual([
      [
        'unit',
        'new id',
        [
          { field: 'site', from: '', to: 's' },
          { field: 'label', from: '', to: 'FC-4' },
          { field: 'diagram', from: '', to: 'd' },
        ],
      ],
    ])
    expect(mockNavigate).toHaveBeenCalledWith('/units/new id')
  })

  test('edited with nothing changed sends nothing of it', async () => {
    renderInApp(<UnitForm id="u" siteId="" />, storeWith())
    fireEvent.press(screen.getByText('Keep'))
    expect(await kept()).toEqual([['unit', 'u', []]])
  })

  test('on a site that is not known here there is nothing to fill in', () => {
    renderInApp(<UnitForm id={null} siteId="elsewhere" />, storeWith())
    expect(screen.getByText(/not known here/)).toBeTruthy()
    expect(screen.queryByText('Add the unit')).toBeNull()
  })
})
