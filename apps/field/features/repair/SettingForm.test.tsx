import { fireEvent, screen } from '@testing-library/react-native'
import { renderVisit } from '../visit/testVisit'
import { SettingForm } from './SettingForm'

test('a setting is recorded from what to what, and only with both', () => {
  const onSaid = renderVisit('rooftop-two-stage', [], (visit) => <SettingForm visit={visit} />)
  fireEvent.press(screen.getByText('A setting was changed'))
  fireEvent.press(screen.getByText(/stages.*should be 2/i))
  const record = (): void => {
    fireEvent.press(screen.getByText('Record the change'))
  }
  record()
  expect(onSaid).not.toHaveBeenCalled()
  fireEvent.changeText(screen.getByLabelText(/^Found at/), ' 1 ')
  record()
  expect(onSaid).toHaveBeenCalledWith({ kind: 'setting', of: 'TS.stages', from: '1', to: '2' })
  expect(screen.queryByText(/should be/)).toBeNull()
  expect(screen.getByText('A setting was changed')).toBeTruthy()
})

test('a dial that has a few choices offers them, and nothing is typed', () => {
  const onSaid = renderVisit('air-handler-drive-running', [], (visit) => <SettingForm visit={visit} />)
  fireEvent.press(screen.getByText('A setting was changed'))
  fireEvent.press(screen.getByText(/keypad, should be auto/))
  expect(screen.queryByLabelText(/^Found at/)?.props.value).toBeUndefined()
  const [foundInHand] = screen.getAllByText('in hand')
  fireEvent.press(foundInHand)
  fireEvent.press(screen.getByText('Record the change'))
  expect(onSaid).toHaveBeenCalledWith({ kind: 'setting', of: 'VD.keypad', from: 'hand', to: 'auto' })
})

test('no dial stands in the way of a repair that changed none', () => {
  renderVisit('rooftop-two-stage', [], (visit) => <SettingForm visit={visit} />)
  expect(screen.queryByText(/should be/)).toBeNull()
  fireEvent.press(screen.getByText('A setting was changed'))
  fireEvent.press(screen.getByText('None was changed'))
  expect(screen.queryByText(/should be/)).toBeNull()
})
