import { builtInUnit, builtInUnitIds } from '../units/index'
import { conditionNamed } from './conditionWords'
import { isUnusual, supplyAirSpan } from './usualSpan'

test('what any call assumes, and where any switch trips, is asked about by nobody', () => {
  for (const id of builtInUnitIds) {
    const { calls, parts } = builtInUnit(id)
    const assumed = calls.flatMap(({ conditions }) => Object.entries(conditions))
    const trips = [...parts.values()].flatMap(({ kind, settings }) =>
      kind
        .faults(settings)
        .flatMap(({ when }) => (when ? [[when.of, when.below ?? when.above ?? NaN] as const] : [])),
    )
    for (const [of, value] of [...assumed, ...trips])
      expect([id, of, value, isUnusual(conditionNamed(of).usual, value)]).toEqual([id, of, value, false])
  }
})

test('a point in the wrong place is asked about, and where nothing is usual nothing is', () => {
  expect(isUnusual(conditionNamed('outdoorDryBulb').usual, 750)).toBe(true)
  expect(isUnusual(conditionNamed('returnHumidity').usual, 450)).toBe(true)
  expect(isUnusual(supplyAirSpan, 2.2)).toBe(true)
  expect(isUnusual(supplyAirSpan, 55)).toBe(false)
  expect(isUnusual(null, 1e6)).toBe(false)
})
