import { needsReason } from './needsReason'

type Said = Parameters<typeof needsReason>[0][number]

const amps = (value: number) => ({ what: 'Blower, at T2', value, unit: 'A', expected: 7.59 })
const right = (words: string, ...values: readonly ReturnType<typeof amps>[]): Said => ({
  words,
  passed: true,
  values,
})

test('a value within what weather makes of it needs none, half of it does', () => {
  expect(needsReason([right('', amps(6.1))])).toEqual([])
  expect(needsReason([right('', amps(2.1))])).toEqual(['Blower, at T2'])
})

test('“right” once more, with no value, takes nothing back', () => {
  expect(needsReason([right('', amps(2.1)), right('')])).toEqual(['Blower, at T2'])
})

test('read again and right, or left so for a reason, it is settled', () => {
  expect(needsReason([right('', amps(2.1)), right('', amps(7.5))])).toEqual([])
  expect(needsReason([right('', amps(2.1)), right('the belt is new')])).toEqual([])
  expect(needsReason([right('the belt is new', amps(2.1))])).toEqual([])
})

test('what was found not right is not left so', () => {
  expect(needsReason([right('', amps(2.1)), { words: '', passed: false }])).toEqual([])
})
