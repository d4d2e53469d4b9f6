import { fireEvent, render, screen } from '@testing-library/react-native'
import { NumberPad, ohmMultiples } from './NumberPad'

const press = (...labels: readonly string[]): void => {
  for (const label of labels) fireEvent.press(screen.getByLabelText(label))
}

test('digits, one point, and the last digit taken back', () => {
  const done = jest.fn()
  render(<NumberPad unit="V" onDone={done} />)
  press('2', '5', 'Point', 'Point', '1', '7', 'Delete the last digit')
  press('Log 25.1 V')
  expect(done).toHaveBeenCalledWith(25.1, expect.any(String))
})

test('nothing typed cannot be logged; OL is its own key', () => {
  const done = jest.fn()
  render(<NumberPad unit="Ω" overload onDone={done} />)
  press('Log')
  expect(done).not.toHaveBeenCalled()
  press('OL, out of range')
  expect(done).toHaveBeenCalledWith(null, expect.any(String))
})

test('a sign only where it makes sense', () => {
  const done = jest.fn()
  render(<NumberPad unit="°F" signed onDone={done} />)
  press('1', '2', 'Change the sign')
  press('Log -12 °F')
  expect(done).toHaveBeenCalledWith(-12, expect.any(String))
})

test('kilohms and megohms: the value in ohms, what was typed as it was', () => {
  const done = jest.fn()
  render(<NumberPad unit="Ω" multiples={ohmMultiples} onDone={done} />)
  press('2', 'Point', '4')
  press('kΩ', 'Log 2.4 kΩ')
  expect(done).toHaveBeenLastCalledWith(2400, '2.4 k')
  press('MΩ', 'Log 2.4 MΩ')
  expect(done).toHaveBeenLastCalledWith(2_400_000, '2.4 M')
  press('MΩ')
  press('Log 2.4 Ω')
  expect(done).toHaveBeenLastCalledWith(2.4, '2.4')
})
