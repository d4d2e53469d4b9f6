import { fireEvent, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { storeWithPlaces, testSite, testUnit } from '../places/testPlaces'
import { renderInApp } from '../testApp'
import { builtInUnit, builtInUnitText } from '@jokulgale/core/units/index'
import { logOf } from '@jokulgale/core/visit/testLog'
import { foldVisit } from '@jokulgale/core/visit/visitState'
import type { OpenVisit } from '../visit/useVisit'
import { ReportScreen } from './ReportScreen'

let mockVisit: OpenVisit | null = null
jest.mock('../visit/useVisit', () => ({ useVisit: () => mockVisit }))
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }))
jest.mock('../sync/device', () => ({ readPhoto: () => Promise.resolve(undefined) }))

const diagram = builtInUnit('fan-coil-cooling')
const say = jest.fn(() => Promise.resolve('e'))

const show = (...bodies: readonly EntryBody[]) => {
  mockVisit = {
    id: 'v',
    unit: testUnit,
    site: testSite,
    ladder: builtInUnitText('fan-coil-cooling'),
    diagram,
    bodies,
    state: foldVisit(logOf(bodies), diagram),
    say,
  }
  const sister = {
    ...testUnit,
    id: 'u2',
    label: 'FC-9',
    place: 'Flat 9',
    make: 'Tern 12',
    installed: '2019-05-01',
  }
  renderInApp(<ReportScreen id="v" />, storeWithPlaces({ units: [testUnit, sister] }))
}

const complaint: EntryBody = { kind: 'complaint', complaint: 'not-cooling', words: 'It blows warm' }
const repair: EntryBody = { kind: 'repair', of: 'CC1', words: 'Contactor: coil open', fault: 'CC1:coil-open' }

test('a visit that is not here yet is said to be looked for', () => {
  mockVisit = null
  renderInApp(<ReportScreen id="v" />)
  expect(screen.getByText('Looking for this visit.')).toBeTruthy()
})

test('the report holds the complaint, what was read with what was expected, and the repair', () => {
  show(
    complaint,
    { kind: 'arrived' },
    { kind: 'call', call: 'cool1' },
    { kind: 'reading', meter: 'volts', from: 'CC1.A1', to: 'TB.C', value: 25, typed: '25' },
    repair,
  )
  expect(screen.getByText(/It blows warm/)).toBeTruthy()
  expect(screen.getByText(/^25 V/)).toBeTruthy()
  expect(screen.getAllByText(/Contactor: coil open/).length).toBeGreaterThan(0)
})

test('units that share the weakness are named once something was repaired, and not before', () => {
  show(complaint)
  expect(screen.queryByText(/FC-9/)).toBeNull()
  show(complaint, repair)
  expect(screen.getByText(/FC-9, Flat 9\. Tern 12, installed 2019-05-01/)).toBeTruthy()
})

test('the advice of a support line is kept with what it was asked', () => {
  show(complaint)
  fireEvent.press(screen.getByText('Log the advice'))
  expect(say).not.toHaveBeenCalled()
  fireEvent.changeText(screen.getByLabelText('Their advice'), ' Ohms of the coil first ')
  fireEvent.press(screen.getByText('Log the advice'))
  expect(say).toHaveBeenCalledWith({
    kind: 'support',
    asked: expect.stringContaining('Not cooling'),
    advice: 'Ohms of the coil first',
  })
  expect(screen.getByLabelText('Their advice').props.value).toBe('')
})

test('what is bridged stands in its own line before everything else', () => {
  show(complaint, {
    kind: 'alteration',
    what: 'joined',
    of: 'HPS.1',
    to: 'HPS.2',
    hazard: 'nothing stops the compressor',
  })
  expect(screen.getAllByText(/safety control is out of its circuit/).length).toBeGreaterThan(0)
})
