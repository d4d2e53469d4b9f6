import fc from 'fast-check'
import {
  pressureUnits,
  temperatureUnits,
  unitShown,
  usualUnits,
  valueKept,
  valueShown,
  valueWords,
  type DisplayUnits,
} from './displayUnits'

const metric: DisplayUnits = { temperature: '°C', pressure: 'kPa' }

test.each([
  [32, '°F', 0],
  [212, '°F', 100],
  [-40, '°F', -40],
  [118, 'psig', 814],
  [0, 'psig', 0],
])('%d %s is shown as %d', (kept, unit, shown) => {
  expect(valueShown(kept, unit, metric)).toBe(shown)
})

test('how far two temperatures are apart is no temperature', () => {
  expect(valueWords(18, '°F', metric, 'difference')).toBe('10 °C')
  expect(valueWords(18, '°F', metric)).toBe('-7.8 °C')
  expect(valueKept(10, '°F', metric, 'difference')).toBe(18)
})

test('what no other unit is chosen for is left as it is', () => {
  expect(valueWords(24.37, 'V', metric)).toBe('24.37 V')
  expect(unitShown('%', metric)).toBe('%')
  expect(valueShown(71.63, '°F', usualUnits)).toBe(71.63)
  expect(valueKept(71.63, '°F', usualUnits)).toBe(71.63)
})

test('what is typed in any unit is shown again as it was typed', () => {
  const units = fc.record({
    temperature: fc.constantFrom(...temperatureUnits),
    pressure: fc.constantFrom(...pressureUnits),
  })
  const sort = fc.constantFrom('point' as const, 'difference' as const)
  fc.assert(
    fc.property(units, sort, fc.integer({ min: -400, max: 4000 }), (chosen, which, tenths) => {
      const celsius = tenths / 10
      expect(valueShown(valueKept(celsius, '°F', chosen, which), '°F', chosen, which)).toBeCloseTo(celsius, 1)
      const gauge = chosen.pressure === 'bar' ? tenths / 100 : tenths
      expect(valueShown(valueKept(gauge, 'psig', chosen), 'psig', chosen)).toBeCloseTo(gauge, 1)
    }),
  )
})
