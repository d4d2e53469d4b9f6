import { refrigerants, saturationFahrenheit, saturationPsig, type Refrigerant } from './refrigerant'

/** Published points: psig, °F. */
test.each<[Refrigerant, number, number]>([
  ['R-410A', 118, 40],
  ['R-410A', 201, 70],
  ['R-410A', 317, 100],
  ['R-22', 68.5, 40],
  ['R-22', 195.9, 100],
  ['R-134a', 35.0, 40],
  ['R-134a', 124.2, 100],
  ['R-32', 121, 40],
  ['R-32', 326, 100],
])('%s boils at %d psig at %d °F', (refrigerant, psig, fahrenheit) => {
  const found = saturationFahrenheit(refrigerant, psig, 'bubble')
  expect(Math.abs((found ?? NaN) - fahrenheit)).toBeLessThan(1)
})

test.each<[Refrigerant, number, number]>([
  ['R-22', 0, 0.01],
  ['R-134a', 0, 0.01],
  ['R-32', 0, 0.01],
  ['R-410A', 0, 0.5],
  ['R-407C', 8.5, 11.5],
  ['R-454B', 1.5, 3],
])('%s glides by %d to %d °F', (refrigerant, least, most) => {
  // an evaporator and a condenser
  for (const psig of [80, 230]) {
    const [bubble, dew] = (['bubble', 'dew'] as const).map((end) =>
      saturationFahrenheit(refrigerant, psig, end),
    )
    const glide = (dew ?? NaN) - (bubble ?? NaN)
    expect(glide).toBeGreaterThanOrEqual(least - 0.02)
    expect(glide).toBeLessThanOrEqual(most)
  }
})

test.each([...refrigerants])('%s: pressure rises with temperature, and back again', (refrigerant) => {
  let before = -15
  for (let fahrenheit = -40; fahrenheit <= 140; fahrenheit += 20) {
    const psig = saturationPsig(refrigerant, fahrenheit, 'dew')
    expect(psig).toBeGreaterThan(before)
    before = psig
    if (fahrenheit > -40 && fahrenheit < 140)
      expect(saturationFahrenheit(refrigerant, psig, 'dew')).toBeCloseTo(fahrenheit, 1)
  }
})

test('what no such refrigerant has is nothing', () => {
  expect(saturationFahrenheit('R-410A', 900, 'bubble')).toBeNull()
  expect(saturationFahrenheit('R-134a', -14, 'dew')).toBeNull()
})
