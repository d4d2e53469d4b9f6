import fc from 'fast-check'
import { nearest, UnknownNameError } from './nearest'

/** Levenshtein's distance by its definition, for short words. */
const slowly = (a: string, b: string): number => {
  if (a === '' || b === '') return a.length + b.length
  const same = a[0] === b[0] ? 0 : 1
  return Math.min(slowly(a.slice(1), b) + 1, slowly(a, b.slice(1)) + 1, slowly(a.slice(1), b.slice(1)) + same)
}
const short = fc.string({ maxLength: 5, unit: fc.constantFrom('A', 'b', 'C', '1', '.') })

test('the nearest of any names is one that no other is nearer than', () => {
  fc.assert(
    fc.property(short, fc.uniqueArray(short, { minLength: 1, maxLength: 6 }), (name, known) => {
      const distance = (other: string): number => slowly(name.toUpperCase(), other.toUpperCase())
      const [first] = nearest(name, known, 1)
      expect(distance(first)).toBe(Math.min(...known.map(distance)))
    }),
    { numRuns: 200 },
  )
})

test('a long name is compared by its beginning, and ends', () => {
  expect(nearest('TB.R'.padEnd(100_000, 'x'), ['TB.R', 'CC1.A1'], 1)).toHaveLength(1)
})

test('what is not there is named with what is near it', () => {
  expect(new UnknownNameError('point', 'TB.RR', ['CC1.A1', 'TB.R', 'TB.C', 'TB.G']).message).toBe(
    'point “TB.RR” is not on this unit; nearest: TB.R, TB.C, TB.G',
  )
})
