import { fireEvent, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { CallBar } from './CallBar'
import { renderVisit } from './testVisit'

const show = (...entries: readonly EntryBody[]) =>
  renderVisit('package-heat-pump', entries, (visit) => <CallBar visit={visit} onMeasures={jest.fn()} />)

test('before a call is set the bar shows the one that the complaint is about', () => {
  show({ kind: 'complaint', complaint: 'no-heat' })
  expect(screen.getByLabelText(/^Call: Heating, with strip heat\. Change/)).toBeTruthy()
})

test('a call is set in two presses, and the bar says so', () => {
  const onSaid = show()
  fireEvent.press(screen.getByLabelText(/^Call: /))
  fireEvent.press(screen.getByText('Cooling'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'call', call: 'cool1' })
  expect(screen.getByLabelText('Call: Cooling. Change')).toBeTruthy()
})

test('one source off is said as that: the unit is not off', () => {
  const onSaid = show()
  fireEvent.press(screen.getByLabelText(/^Power: /))
  fireEvent.press(screen.getByText('Only Strip-heat breaker off'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'power', is: 'off', of: 'BR2' })
  expect(screen.getByLabelText('Power: On, BR2 off. Change')).toBeTruthy()
})

test('power does not come back over leads that are off', () => {
  const onSaid = show(
    { kind: 'power', is: 'off' },
    { kind: 'repair', of: 'CC1' },
    { kind: 'lead-found', of: 'CC1', terminal: 'CC1.A1', color: 'yellow', number: '68' },
  )
  fireEvent.press(screen.getByLabelText(/^Power: /))
  fireEvent.press(screen.getByText('Power on'))
  expect(onSaid).not.toHaveBeenCalled()
  expect(screen.getByText('Lead yellow 68 of CC1.A1 hangs free')).toBeTruthy()
})
