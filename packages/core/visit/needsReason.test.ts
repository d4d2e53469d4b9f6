import { needsReason } from './needsReason'

type Said = Parameters<typeof needsReason>[0][number]['body']

const amps = (value: number) => ({ what: 'Blower, at T2', value, unit: 'A', expected: 7.59 })
const right = (words: string, ...values: readonly ReturnType<typeof amps>[]): Said => ({
  call: 'fan',
  words,
  passed: true,
  values,
})

/** What is left of such proofs, with another call's among them. */
const left = (...said: readonly Said[]): readonly string[] =>
  needsReason([...said.map((body) => ({ body })), { body: { ...right('', amps(0)), call: 'cool1' } }], 'fan')

test('a value within what weather makes of it needs none, half of it does', () => {
  expect(left(right('', amps(6.1)))).toEqual([])
  expect(left(right('', amps(2.1)))).toEqual(['Blower, at T2'])
})

test('“right” once more, with no value, takes nothing back', () => {
  expect(left(right('', amps(2.1)), right(''))).toEqual(['Blower, at T2'])
})

test('read again and right, or left so for a reason, it is settled', () => {
  expect(left(right('', amps(2.1)), right('', amps(7.5)))).toEqual([])
  expect(left(right('', amps(2.1)), right('the belt is new'))).toEqual([])
  expect(left(right('the belt is new', amps(2.1)))).toEqual([])
})

test('what was found not right is not left so', () => {
  expect(left(right('', amps(2.1)), { call: 'fan', words: '', passed: false })).toEqual([])
})
