import { fireEvent, screen } from '@testing-library/react-native'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { ProofLine } from '@jokulgale/core/visit/proofLine'
import { renderVisit } from '../visit/testVisit'
import { ProofRow } from './ProofRow'

const control: ProofLine = {
  what: 'Control power',
  unit: 'V',
  expected: 25.4123,
  at: { meter: 'volts', from: 'TB.R', to: 'TB.C' },
}
const show = (...entries: readonly EntryBody[]) =>
  renderVisit('rooftop-two-stage', entries, (visit) => (
    <ProofRow visit={visit} call="cool1" words="Cooling" lines={[control]} />
  ))
const type = (digits: string): void => {
  for (const key of digits) fireEvent.press(screen.getByLabelText(key === '.' ? 'Point' : key))
  fireEvent.press(screen.getByText(/^Log/))
}

test('a value is kept with what it should have been, and where it was read', () => {
  const onSaid = show()
  expect(screen.getByText('not proven yet')).toBeTruthy()
  fireEvent.press(screen.getByLabelText('Values for Cooling'))
  fireEvent.press(screen.getByLabelText(/^Control power, should 25\.4 V/))
  type('25.1')
  fireEvent.press(screen.getByLabelText('Cooling: proven'))
  expect(onSaid).toHaveBeenCalledWith({
    kind: 'proof',
    call: 'cool1',
    words: '',
    passed: true,
    values: [{ what: 'Control power', value: 25.1, unit: 'V', expected: 25.41, at: control.at }],
  })
  expect(screen.getByText('proven')).toBeTruthy()
})

test('a value that is not as it should be is marked before anything is proven', () => {
  show()
  fireEvent.press(screen.getByLabelText('Values for Cooling'))
  fireEvent.press(screen.getByLabelText(/^Control power/))
  type('12')
  expect(screen.getByText(/^≠ should 25\.4 V/)).toBeTruthy()
})

test('the last proof of a call is the one that counts', () => {
  const proof = (passed: boolean): EntryBody => ({ kind: 'proof', call: 'cool1', words: 'seen', passed })
  show(proof(true), proof(false))
  expect(screen.getByText('not right')).toBeTruthy()
})
