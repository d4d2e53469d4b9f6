import { fireEvent, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { Conditions } from '../look/Conditions'
import { renderVisit } from '../visit/testVisit'
import { UnitsForm } from './UnitsForm'

jest.mock('../sync/device', () => ({
  ...jest.requireActual<object>('../sync/device'),
  writeFact: () => Promise.resolve(),
}))

const warm: EntryBody = { kind: 'condition', of: 'outdoorDryBulb', value: 95 }

test('weather is read and typed in the units of this device, and kept in °F', () => {
  const onSaid = renderVisit('rooftop-two-stage', [warm], (visit) => (
    <>
      <UnitsForm />
      <Conditions visit={visit} />
    </>
  ))
  expect(screen.getByText('Outdoor temperature: 95 °F')).toBeTruthy()
  fireEvent.press(screen.getByText('°C'))
  fireEvent.press(screen.getByText('Outdoor temperature: 35 °C'))
  for (const key of '30') fireEvent.press(screen.getByLabelText(key))
  fireEvent.press(screen.getByText('Log 30 °C'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'condition', of: 'outdoorDryBulb', value: 86 })
  expect(screen.getByText('Outdoor temperature: 30 °C')).toBeTruthy()
})

test('a pressure in kilopascals is the same pressure', () => {
  const onSaid = renderVisit('rooftop-two-stage', [], (visit) => (
    <>
      <UnitsForm />
      <Conditions visit={visit} />
    </>
  ))
  fireEvent.press(screen.getByText('kPa'))
  fireEvent.press(screen.getByText(/^Suction pressure: /))
  for (const key of '814') fireEvent.press(screen.getByLabelText(key))
  fireEvent.press(screen.getByText('Log 814 kPa'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'condition', of: 'suctionPressure', value: 118.06 })
  expect(screen.getByText('Suction pressure: 814 kPa')).toBeTruthy()
})
