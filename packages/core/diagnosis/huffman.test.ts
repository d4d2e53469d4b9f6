import fc from 'fast-check'
import { huffmanBound } from './huffman'

test('known trees', () => {
  expect(huffmanBound([1], 2)).toBe(0)
  expect(huffmanBound([1, 1, 1, 1], 2)).toBeCloseTo(2)
  expect(huffmanBound([0.5, 0.25, 0.125, 0.125], 2)).toBeCloseTo(1.75)
  expect(huffmanBound([1, 1, 1], 3)).toBeCloseTo(1)
  expect(huffmanBound([1, 1, 1, 1], 3)).toBeCloseTo(1.5)
})

test('it lies between the entropy and the entropy plus one, and more outcomes never cost more', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 2, maxLength: 40 }),
      fc.integer({ min: 2, max: 6 }),
      (weights, arity) => {
        const total = weights.reduce((a, b) => a + b, 0)
        const entropy =
          weights.reduce((sum, w) => sum - (w / total) * Math.log(w / total), 0) / Math.log(arity)
        const bound = huffmanBound(weights, arity)
        expect(bound).toBeGreaterThanOrEqual(entropy - 1e-9)
        expect(bound).toBeLessThanOrEqual(entropy + 1)
        expect(huffmanBound(weights, arity + 1)).toBeLessThanOrEqual(bound + 1e-9)
      },
    ),
  )
})
