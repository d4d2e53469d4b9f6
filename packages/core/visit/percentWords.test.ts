import { percentWords } from './percentWords'

test.each([
  [0.9997, 'over 99 %'],
  [1, 'over 99 %'],
  [0.99, '99 %'],
  [0.634, '63 %'],
  [0.01, '1 %'],
  [0.004, 'under 1 %'],
])('%d is %s: nothing is ever certain', (chance, words) => {
  expect(percentWords(chance)).toBe(words)
})
