import fc from 'fast-check'
import { builtInUnit } from '../units/index'
import { judge } from './diagnose'
import { Factors, type FactorTerm } from './factors'

const supply: FactorTerm = { key: 'supply', mean: 0, spread: 0.035 }
const transformer: FactorTerm = { key: 'transformer', mean: 0, spread: 0.04 }

interface Reading {
  readonly terms: readonly FactorTerm[]
  readonly predicted: number
  readonly value: number
  readonly variance: number
}

/** Means of both factors by adding up over a fine grid: no filter in it. */
function byGrid(readings: readonly Reading[]): readonly [number, number] {
  const sums = [0, 0, 0]
  const steps = 240
  const at = (k: number, spread: number): number => ((k - steps / 2) / (steps / 2)) * 6 * spread
  for (let a = 0; a <= steps; a++)
    for (let b = 0; b <= steps; b++) {
      const s = at(a, supply.spread)
      const t = at(b, transformer.spread)
      const log = readings.reduce(
        (sum, { terms, predicted, value, variance }) => {
          const share = terms.reduce((total, { key }) => total + (key === 'supply' ? s : t), 0)
          return sum - (value - predicted * (1 + share)) ** 2 / (2 * variance)
        },
        -((s / supply.spread) ** 2) / 2 - (t / transformer.spread) ** 2 / 2,
      )
      const weight = Math.exp(log)
      sums[0] += weight
      sums[1] += weight * s
      sums[2] += weight * t
    }
  return [sums[1] / sums[0], sums[2] / sums[0]]
}

test('what readings teach of shared factors is what adding up over all their values gives', () => {
  const reading = fc.record({
    terms: fc.constantFrom([supply], [supply, transformer]),
    predicted: fc.double({ min: 20, max: 480, noNaN: true }),
    share: fc.double({ min: -0.08, max: 0.08, noNaN: true }),
    spread: fc.double({ min: 0.01, max: 0.03, noNaN: true }),
  })
  fc.assert(
    fc.property(fc.array(reading, { minLength: 1, maxLength: 4 }), (drawn) => {
      const readings = drawn.map(({ terms, predicted, share, spread }): Reading => ({
        terms,
        predicted,
        value: predicted * (1 + share),
        variance: (spread * predicted) ** 2,
      }))
      const factors = new Factors()
      factors.expect([supply, transformer])
      for (const { terms, predicted, value, variance } of readings)
        factors.learn(terms, predicted, value, variance)
      const [s, t] = byGrid(readings)
      expect(factors.known('supply')?.mean).toBeCloseTo(s, 4)
      expect(factors.known('transformer')?.mean).toBeCloseTo(t, 4)
    }),
    { numRuns: 12 },
  )
})

test('a second reading of what is known is expected to about one per cent, and six are one finding', () => {
  const factors = new Factors()
  const both = [supply, transformer]
  const before = Math.sqrt(factors.expect(both).variance)
  for (let k = 0; k < 6; k++) factors.learn(both, 26, 23.7, (0.012 * 26) ** 2)
  const after = factors.expect(both)
  expect(before).toBeGreaterThan(0.05)
  expect(Math.sqrt(after.variance)).toBeLessThan(0.006)
  expect(after.mean).toBeCloseTo(23.7 / 26 - 1, 2)
})

test('a suspect that may be met in one of several states learns what readings share, as any other does', () => {
  // a compressor whose capacitor is open hums, then stands: two states, and all volts of the unit low
  const low = (from: string) => ({ kind: 'reading', meter: 'volts', from, to: 'TB.C', value: 23 }) as const
  const entries = [
    { kind: 'call', call: 'cool1' } as const,
    ...['PL.3B', 'PL.1B', 'PL.3A', 'PL.4A', 'PL.6A', 'PL.6B'].map(low),
  ]
  const { belief, model } = judge(builtInUnit('package-heat-pump-unfused'), {
    complaint: 'not-cooling',
    entries,
  })
  const share = (id: string): number => belief.probability[model.hypotheses.findIndex((h) => h.id === id)]
  const ratio = share('CAP1:plates-open') / share('CAP2:plates-open')
  expect(ratio).toBeGreaterThan(0.3)
  expect(ratio).toBeLessThan(3)
})
