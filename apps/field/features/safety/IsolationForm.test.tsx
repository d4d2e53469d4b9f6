import { fireEvent, screen } from '@testing-library/react-native'
import { builtInUnit } from '@jokulgale/core/units/index'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { renderInApp } from '../testApp'
import { legsToProve } from '@jokulgale/core/visit/provenDead'
import { IsolationForm } from './IsolationForm'

const show = (unit: string) => {
  const onProven = jest.fn<undefined, [readonly EntryBody[]]>()
  renderInApp(<IsolationForm diagram={builtInUnit(unit)} onProven={onProven} />)
  return onProven
}
const legs = legsToProve(builtInUnit('fan-coil-two-pipe')).length
/** Boxes in the order that they stand: isolators, stored energy, the tester before and after. */
const tick = (): void => {
  for (const box of screen.getAllByRole('checkbox')) fireEvent.press(box)
}
const allZero = (count: number): void => {
  for (let k = 0; k < count; k++) fireEvent.press(screen.getByText(/reads 0\sV( DC)?$/))
}
const finish = (): void => {
  fireEvent.press(screen.getByText('Isolated, proven dead'))
}

test('a unit is not isolated by ticking boxes: nothing is said before each leg was read', () => {
  const onProven = show('fan-coil-two-pipe')
  tick()
  finish()
  allZero(legs - 1)
  finish()
  expect(onProven).not.toHaveBeenCalled()
  allZero(1)
  finish()
  const [[said]] = onProven.mock.calls
  expect(said.map(({ kind }) => kind)).toEqual(['isolation', 'power'])
  expect(said[0]).toMatchObject({ testerBefore: true, testerAfter: true, sources: ['BR', 'BRH'] })
})

/** Enters another value than 0 for what is asked about. */
const readAs = (value: string): void => {
  fireEvent.press(screen.getByLabelText(/enter another value$/))
  for (const digit of value) fireEvent.press(screen.getByLabelText(digit))
  fireEvent.press(screen.getByText(/^Log/))
}

test('a leg that is not dead stops it, says where to look, and is read again at the end', () => {
  const onProven = show('fan-coil-two-pipe')
  tick()
  readAs('119')
  expect(screen.getByText(/119 V is not dead\. Find the other source/)).toBeTruthy()
  allZero(legs - 1)
  finish()
  expect(onProven).not.toHaveBeenCalled()
  expect(screen.getByText('SW.L1 to TB.N reads 0\u00a0V')).toBeTruthy()
  allZero(1)
  finish()
  expect(onProven).toHaveBeenCalledTimes(1)
})

test('the bus of a drive is read with direct volts, and waited for while it is charged', () => {
  const onProven = show('air-handler-drive-running')
  tick()
  allZero(legsToProve(builtInUnit('air-handler-drive-running')).length - 1)
  readAs('212')
  expect(screen.getByText(/212 V is not dead\. It is still charged: wait/)).toBeTruthy()
  finish()
  expect(onProven).not.toHaveBeenCalled()
  readAs('31')
  finish()
  expect(onProven.mock.calls[0][0][0]).toMatchObject({ kind: 'isolation' })
})

test('it is read where hands go, and the place is named', () => {
  show('fan-coil-two-pipe')
  expect(screen.getByText('Service switch, Ceiling hatch')).toBeTruthy()
  fireEvent.press(screen.getByText('Tester proven on a live source'))
  fireEvent.press(screen.getByText('SW.L1 to TB.N reads 0\u00a0V'))
  fireEvent.press(screen.getByText('SW.L1 to ground reads 0\u00a0V'))
  expect(screen.getByText('Heater relay, Control box, very small')).toBeTruthy()
})
