import { measuredConditions, spanWords, conditionWords } from './conditionWords'

test('a condition, and where it lies, are said in the units of whoever reads', () => {
  const metric = { temperature: '°C', pressure: 'kPa' } as const
  expect(conditionWords('outdoorDryBulb', 50)).toBe('Outdoor temperature 50 °F')
  expect(conditionWords('outdoorDryBulb', 50, metric)).toBe('Outdoor temperature 10 °C')
  expect(spanWords('outdoorDryBulb', { above: 50, below: 77 })).toBe('50 to 77 °F')
  expect(spanWords('outdoorDryBulb', { above: 50, below: 77 }, metric)).toBe('10 to 25 °C')
  expect(spanWords('heaterTemperature', { above: 203 }, metric)).toBe('above 95 °C')
  expect(spanWords('suctionPressure', { below: 100 }, metric)).toBe('below 689 kPa')
  expect(spanWords('outdoorHumidity', { above: 30, below: 55 }, metric)).toBe('30 to 55 %')
})

test('what is measured with gauges says who may put them on', () => {
  for (const { unit, caution } of measuredConditions) if (unit === 'psig') expect(caution).toMatch(/licensed/)
})
