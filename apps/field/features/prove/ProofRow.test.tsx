import { fireEvent, screen } from '@testing-library/react-native'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
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
const set: EntryBody = { kind: 'call', call: 'cool1' }
const show = (
  lines: readonly ProofLine[] = [control],
  entries: readonly EntryBody[] = [set],
  delays: Briefing['delays'] | null = [],
) =>
  renderVisit('rooftop-two-stage', entries, (visit) => (
    <ProofRow visit={visit} call="cool1" words="Cooling" lines={lines} delays={delays} />
  ))
const type = (digits: string): void => {
  for (const key of digits) fireEvent.press(screen.getByLabelText(key === '.' ? 'Point' : key))
  fireEvent.press(screen.getByText(/^Log/))
}

afterEach(() => {
  jest.restoreAllMocks()
})

test('a value is kept with what it should have been, and where it was read', () => {
  const onSaid = show()
  expect(screen.getByText('not proven yet')).toBeTruthy()
  fireEvent.press(screen.getByLabelText('Values for Cooling'))
  fireEvent.press(screen.getByLabelText(/^Control power, should 25\.4 V/))
  type('25.1')
  fireEvent.press(screen.getByLabelText('Cooling: right'))
  expect(onSaid).toHaveBeenCalledWith({
    kind: 'proof',
    call: 'cool1',
    words: '',
    passed: true,
    values: [
      { what: 'Control power', value: 25.1, typed: '25.1', unit: 'V', expected: 25.41, at: control.at },
    ],
  })
  expect(screen.getByText('proven')).toBeTruthy()
})

test('air of 2.2 °F is asked about once, and logged all the same when it is said again', () => {
  const supply: ProofLine = { what: 'Supply air', unit: '°F', expected: null, at: null, usual: [25, 200] }
  show([supply])
  fireEvent.press(screen.getByLabelText('Values for Cooling'))
  fireEvent.press(screen.getByLabelText(/^Supply air/))
  type('2.2')
  expect(screen.getByText(/^That can hardly be/)).toBeTruthy()
  expect(screen.queryByText('2.2 °F')).toBeNull()
  fireEvent.press(screen.getByText(/^Log/))
  expect(screen.getByText('2.2 °F')).toBeTruthy()
})

test('a bare word proves nothing: the row says what is missing, and words are enough', () => {
  show()
  fireEvent.press(screen.getByLabelText('Cooling: right'))
  expect(screen.getByText('not proven yet')).toBeTruthy()
  expect(screen.getByText(/^Nothing was read in it since the repair/)).toBeTruthy()
  fireEvent.changeText(screen.getByLabelText('Readings for Cooling'), 'both stages draw, 18 °F split')
  fireEvent.press(screen.getByLabelText('Cooling: right'))
  expect(screen.getByText('proven')).toBeTruthy()
})

test('what was typed is shown in its digits, and no finer', () => {
  show([leg(1)])
  fireEvent.press(screen.getByLabelText('Values for Cooling'))
  fireEvent.press(screen.getByLabelText(/^Compressor/))
  type('15')
  expect(screen.getByLabelText(/read 15 A$/)).toBeTruthy()
})

test('a leg far off its amps is not called proven until somebody has said why it is left so', () => {
  show([leg(2)])
  fireEvent.press(screen.getByLabelText('Values for Cooling'))
  fireEvent.press(screen.getByLabelText(/^Compressor/))
  type('2.1')
  fireEvent.press(screen.getByLabelText('Cooling: right'))
  expect(screen.queryByText('proven')).toBeNull()
  expect(screen.getByText('right, but a value needs its reason')).toBeTruthy()
  // to say it once more takes nothing back
  fireEvent.press(screen.getByLabelText('Cooling: right'))
  expect(screen.queryByText('proven')).toBeNull()
  fireEvent.changeText(screen.getByLabelText('Readings for Cooling'), 'clamp of the drive, not of the leg')
  fireEvent.press(screen.getByLabelText('Cooling: right'))
  expect(screen.getByText('proven')).toBeTruthy()
})

const leg = (n: number): ProofLine => ({
  what: `Compressor, at C1.T${n}`,
  unit: 'A',
  expected: 15.5,
  at: { meter: 'amps', from: `CC1.T${n}`, to: `C1.T${n}` },
})

test('one value after another is asked for, each read by itself; one that is off is looked at first', () => {
  const onSaid = show([control, leg(1), leg(2), leg(3)])
  fireEvent.press(screen.getByLabelText('Values for Cooling'))
  fireEvent.press(screen.getByLabelText(/^Control power/))
  type('25.4')
  // the pad is there for the next one, empty
  expect(screen.getByText('Should be 15.5 A')).toBeTruthy()
  type('15.4')
  type('2.1')
  expect(screen.getByText(/^≠ should 15\.5 A/)).toBeTruthy()
  expect(screen.queryByText(/^Log/)).toBeNull()
  fireEvent.press(screen.getByLabelText('Cooling: not right'))
  expect(onSaid).toHaveBeenCalledWith(
    expect.objectContaining({
      passed: false,
      values: [control, leg(1), leg(2)].map(({ what }, k) =>
        expect.objectContaining({ what, value: [25.4, 15.4, 2.1][k] }),
      ),
    }),
  )
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
  show([control], [set, proof(true), proof(false)])
  expect(screen.getByText('not right')).toBeTruthy()
})

test('a call is proven while it is set, with the power on and no delay running', () => {
  const onSaid = show([control], [])
  expect(screen.queryByLabelText('Cooling: right')).toBeNull()
  fireEvent.press(screen.getByLabelText('Set it: Cooling'))
  expect(onSaid).toHaveBeenCalledWith(set)
  expect(screen.getByLabelText('Cooling: right')).toBeTruthy()
})

test.each<[string, readonly EntryBody[], Briefing['delays'] | null, RegExp]>([
  ['the power is off', [set, { kind: 'power', is: 'off' }], [], /Power is off/],
  ['a delay runs', [set], [{ words: 'Thermostat', seconds: 245 }], /Thermostat takes another 4:05/],
  ['nobody knows yet whether one runs', [set], null, /Working out which delays run/],
])('not while %s', (_, entries, delays, words) => {
  // the moment in which the call was set
  jest.spyOn(Date, 'now').mockReturnValue(0)
  show([control], entries, delays)
  expect(screen.getByText(words)).toBeTruthy()
  expect(screen.queryByLabelText('Cooling: right')).toBeNull()
})
