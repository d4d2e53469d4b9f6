import fc from 'fast-check'
import { flameVolts, provenFlameVolts } from './flameCurrent'
import { openingSeconds } from './fuseTimes'
import { sensorFeed, sensorFeedOhms } from './sensorFeed'
import { thermistorFahrenheit, thermistorOhms } from './thermistor'

describe('10 kΩ thermistors', () => {
  test.each([
    ['2', 32, 32_650],
    ['2', 50, 19_900],
    ['2', 77, 10_000],
    ['2', 100, 5826],
    ['3', 32, 29_490],
    ['3', 50, 18_790],
    ['3', 77, 10_000],
  ])('type %s at %d °F: %d Ω', (family, fahrenheit, ohms) => {
    expect(thermistorOhms(family, fahrenheit)).toBeCloseTo(ohms, 0)
  })

  test('hotter is fewer ohms, everywhere, and the temperature comes back from them', () => {
    const degrees = fc.double({ min: -39, max: 199, noNaN: true })
    fc.assert(
      fc.property(fc.constantFrom('2', '3'), degrees, degrees, (family, a, b) => {
        const [cold, hot] = a < b ? [a, b] : [b, a]
        if (hot - cold > 0.01)
          expect(thermistorOhms(family, cold)).toBeGreaterThan(thermistorOhms(family, hot))
        expect(thermistorFahrenheit(family, thermistorOhms(family, a))).toBeCloseTo(a, 4)
      }),
    )
  })

  test('a sensor of the other family reads plausibly, and wrong by some degrees away from 77 °F', () => {
    const misread = (fahrenheit: number): number =>
      thermistorFahrenheit('2', thermistorOhms('3', fahrenheit)) - fahrenheit
    expect(Math.abs(misread(77))).toBeLessThan(0.1)
    expect(misread(32)).toBeGreaterThan(2)
    expect(misread(32)).toBeLessThan(6)
  })

  test('beyond the table a controller believes its end; an unknown family is named', () => {
    expect(thermistorFahrenheit('2', Infinity)).toBe(-40)
    expect(thermistorFahrenheit('2', 1)).toBe(200)
    expect(() => thermistorOhms('7', 77)).toThrow(/family “7” is not known; known: 2, 3/)
  })

  test('ohms come back from the direct volts that a controller’s feed leaves on them', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 300_000, noNaN: true }), (ohms) => {
        const volts = (sensorFeed.volts * ohms) / (ohms + sensorFeed.ohms)
        expect(sensorFeedOhms(volts) / ohms).toBeCloseTo(1, 6)
      }),
    )
    expect(sensorFeedOhms(sensorFeed.volts)).toBe(Infinity)
  })
})

describe('fuses and breakers', () => {
  test.each(['fuse', 'time-delay-fuse', 'breaker'] as const)(
    'a %s holds its rating for ever, and more opens it sooner',
    (device) => {
      expect(openingSeconds(device, 1)).toBe(Infinity)
      expect(openingSeconds(device, 1.34)).toBe(Infinity)
      const multiple = fc.double({ min: 1.35, max: 100, noNaN: true })
      fc.assert(
        fc.property(multiple, multiple, (a, b) => {
          const [less, more] = a < b ? [a, b] : [b, a]
          expect(openingSeconds(device, more)).toBeLessThanOrEqual(openingSeconds(device, less))
        }),
      )
    },
  )

  test('within what their standards allow: ISO 8820-3 for blade fuses, UL 248 and UL 489', () => {
    expect(openingSeconds('fuse', 1.35)).toBeLessThanOrEqual(600)
    expect(openingSeconds('fuse', 2)).toBeGreaterThanOrEqual(0.15)
    expect(openingSeconds('fuse', 2)).toBeLessThanOrEqual(5)
    expect(openingSeconds('fuse', 3.5)).toBeLessThanOrEqual(0.5)
    expect(openingSeconds('breaker', 1.35)).toBeLessThanOrEqual(3600)
    expect(openingSeconds('breaker', 2)).toBeLessThanOrEqual(120)
    expect(openingSeconds('breaker', 10)).toBeLessThan(0.1)
    expect(openingSeconds('time-delay-fuse', 1.35)).toBeLessThanOrEqual(3600)
    expect(openingSeconds('time-delay-fuse', 5)).toBeGreaterThanOrEqual(10)
  })
})

test('a dead short melts the fuse behind a breaker before the breaker can move', () => {
  // 5 A behind 15 A, and 45 A behind 110 A, a short of a third of an ohm on each
  expect(openingSeconds('fuse', 400 / 5)).toBeLessThan(openingSeconds('breaker', 400 / 15))
  expect(openingSeconds('time-delay-fuse', 920 / 45)).toBeLessThan(openingSeconds('breaker', 920 / 110))
  // and what a motor takes on its start opens neither
  expect(openingSeconds('time-delay-fuse', 3.5)).toBeGreaterThan(8)
})

test('a flame of a microampere is proven, one of a tenth is not', () => {
  expect(flameVolts(1)).toBeGreaterThan(provenFlameVolts)
  expect(flameVolts(0.1)).toBeLessThan(provenFlameVolts)
})
