import { numberTyped } from './numberTyped'

test.each([
  ['6,4', 6.4],
  [' 25.40 ', 25.4],
  ['-5', -5],
  ['ol', Infinity],
  ['OL', Infinity],
  ['', undefined],
  ['  ', undefined],
])('“%s” is %s', (text, value) => {
  expect(numberTyped(text)).toBe(value)
})

test('what is no number is no number, and not left out', () => {
  expect(numberTyped('twelve')).toBeNaN()
})
