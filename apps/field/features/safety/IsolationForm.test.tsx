import { fireEvent, screen, waitFor } from '@testing-library/react-native'
import { builtInUnit } from '@jokulgale/core/units/index'
import { renderVisit } from '../visit/testVisit'
import { legsToProve } from '@jokulgale/core/visit/provenDead'
import { IsolationForm } from './IsolationForm'

const show = (unit: string) => {
  const onDone = jest.fn()
  const onSaid = renderVisit(unit, [], (visit) => <IsolationForm visit={visit} onDone={onDone} />)
  return { onSaid, onDone }
}
const legs = legsToProve(builtInUnit('fan-coil-two-pipe')).length
/** Boxes in the order that they stand: isolators, stored energy, the tester before and after. */
const tick = (): void => {
  for (const box of screen.getAllByRole('checkbox')) fireEvent.press(box)
}
const allZero = (count: number): void => {
  for (let k = 0; k < count; k++) fireEvent.press(screen.getByText(/reads 0\sV$/))
}
const finish = (): void => {
  fireEvent.press(screen.getByText('Isolated, proven dead'))
}

test('a unit is not isolated by ticking boxes: nothing is said before each leg was read', async () => {
  const { onSaid, onDone } = show('fan-coil-two-pipe')
  tick()
  finish()
  allZero(legs - 1)
  finish()
  expect(onSaid).not.toHaveBeenCalled()
  allZero(1)
  finish()
  await waitFor(() => {
    expect(onDone).toHaveBeenCalled()
  })
  const said = onSaid.mock.calls.map(([body]) => body)
  expect(said.map(({ kind }) => kind)).toEqual(['isolation', 'power'])
  expect(said[0]).toMatchObject({ testerBefore: true, testerAfter: true, sources: ['BR', 'BRH'] })
})

test('a leg that is not dead stops it, and says where to look', () => {
  const { onSaid } = show('fan-coil-two-pipe')
  tick()
  fireEvent.press(screen.getByLabelText(/enter another value$/))
  for (const digit of ['1', '1', '9']) fireEvent.press(screen.getByLabelText(digit))
  fireEvent.press(screen.getByText(/^Log/))
  expect(screen.getByText(/119 V is not dead\. Find the other source\./)).toBeTruthy()
  allZero(legs - 1)
  finish()
  expect(onSaid).not.toHaveBeenCalled()
})

test('it is read where hands go, and the place is named', () => {
  show('fan-coil-two-pipe')
  expect(screen.getByText('Service switch, Ceiling hatch')).toBeTruthy()
  fireEvent.press(screen.getByText('Tester proven on a live source'))
  fireEvent.press(screen.getByText('SW.L1 to ground reads 0\u00a0V'))
  expect(screen.getByText('Heater relay, Control box, very small')).toBeTruthy()
})
