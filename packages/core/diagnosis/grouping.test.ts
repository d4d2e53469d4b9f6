import fc from 'fast-check'
import type { Meter } from '../circuit/meters'
import { groupEnds } from './grouping'
import { distinct } from './likelihood'

const meters: readonly Meter[] = ['volts', 'ohms', 'amps', 'millivolts', 'dc']

test('no group holds two values that can be told apart, and what a gap parts is parted', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...meters),
      fc.array(fc.double({ min: 0, max: 600, noNaN: true }), { minLength: 1, maxLength: 60 }),
      fc.nat(3),
      (meter, values, outOfRange) => {
        const sorted: readonly (number | null)[] = [
          ...values.sort((a, b) => a - b),
          ...Array.from({ length: outOfRange }, () => null),
        ]
        const ends = groupEnds(meter, sorted.length, (k) => sorted[k])
        expect(ends[ends.length - 1]).toBe(sorted.length)
        ends.forEach((end, g) => {
          const from = g === 0 ? 0 : ends[g - 1]
          expect(end).toBeGreaterThan(from)
          expect(distinct(meter, sorted[from], sorted[end - 1])).toBe(false)
        })
        sorted.forEach((value, k) => {
          if (k > 0 && distinct(meter, sorted[k - 1], value)) expect(ends).toContain(k)
        })
      },
    ),
  )
})

test('a chain of close values does not hide how far apart its ends are', () => {
  // a tap for a higher supply, between sags of every depth
  const chain = [21.7, 22.4, 23.2, 24, 24.6, 25]
  expect(groupEnds('volts', chain.length, (k) => chain[k]).length).toBeGreaterThan(1)
})
