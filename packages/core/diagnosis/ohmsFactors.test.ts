import fc from 'fast-check'
import { bell } from './bell'
import { Factors } from './factors'
import { goodDensity, spreadsApart } from './likelihood'
import { knownOhms, learnOhms, loadOhmsFactors } from './ohmsFactors'
import {
  fromOhmsScale,
  leadsOhms,
  ohmsAsDrawn,
  ohmsCenter,
  ohmsShare,
  ohmsSpread,
  onOhmsScale,
  ownOhmsVariance,
  perOhm,
  perShare,
} from './ohmsScale'

const motor = loadOhmsFactors({ id: 'motor', make: null, compares: 'pairs', twins: [] })

const learned = (
  readings: readonly { readonly drawn: number; readonly read: number }[],
  load = motor,
): Factors => {
  const factors = new Factors()
  for (const reading of readings) learnOhms(factors, load, { ...reading, variance: 0, rounding: 0 })
  return factors
}
const after = (factors: Factors, load = motor) => ({ ...knownOhms(factors, load), rounding: 0 })

/** What the next reading is expected to be, by adding up over every share and every ohm of the leads. */
function byGrid(readings: readonly { drawn: number; read: number }[], next: number): number {
  const steps = 200
  const at = (k: number, spread: number): number => ((k - steps / 2) / (steps / 2)) * 5 * spread
  let [total, sum] = [0, 0]
  for (let a = 0; a <= steps; a++)
    for (let b = 0; b <= steps; b++) {
      const [share, leads] = [at(a, ohmsShare), at(b, leadsOhms)]
      const placeOf = (drawn: number): number =>
        onOhmsScale(drawn) + perShare(drawn) * share + perOhm(drawn) * leads
      const weight = readings.reduce(
        (product, { drawn, read }) =>
          product * bell(onOhmsScale(read) - placeOf(drawn), Math.sqrt(ownOhmsVariance(drawn, 0))),
        bell(share, ohmsShare) * bell(leads, leadsOhms),
      )
      total += weight
      sum += weight * placeOf(next)
    }
  return sum / total
}

const winding = fc.double({ min: 0.4, max: 60, noNaN: true })
const off = fc.double({ min: -0.3, max: 0.4, noNaN: true })
const inLeads = fc.double({ min: 0, max: 0.4, noNaN: true })

test('what one winding teaches of the next is what adding up over shares and leads gives', () => {
  fc.assert(
    fc.property(fc.array(winding, { minLength: 1, maxLength: 3 }), winding, off, (drawn, next, share) => {
      const readings = drawn.map((ohms) => ({ drawn: ohms, read: ohms * (1 + share) }))
      expect(ohmsCenter(next, after(learned(readings)))).toBeCloseTo(byGrid(readings, next), 2)
    }),
    { numRuns: 25 },
  )
})

test('once two windings were read, the third is known to a tenth or the part of an ohm of its touch', () => {
  fc.assert(
    fc.property(winding, off, inLeads, (drawn, share, leads) => {
      const read = drawn * (1 + share) + leads
      const known = after(
        learned([
          { drawn, read },
          { drawn, read },
        ]),
      )
      const spread = ohmsSpread(drawn, known)
      expect(spread).toBeLessThan(ohmsSpread(drawn))
      expect(spread).toBeLessThan(0.1 + 0.15 * perOhm(drawn))
      expect(Math.abs(onOhmsScale(read) - ohmsCenter(drawn, known))).toBeLessThan(3 * spread)
    }),
  )
})

test('a twin teaches most of what the load itself does, a load of another make only the leads', () => {
  const [one, other] = ['one', 'other'].map((id) =>
    loadOhmsFactors({ id, make: 'coil', compares: 'pairs', twins: [] }),
  )
  const readings = [{ drawn: 12, read: 15 }]
  const itself = after(learned(readings, one), one)
  const twin = after(learned(readings, one), other)
  const stranger = after(learned(readings, one), motor)
  expect(itself.mean).toBeGreaterThan(0.2)
  expect(twin.mean).toBeGreaterThan(0.7 * itself.mean)
  expect(twin.variance).toBeLessThan(0.5 * ohmsShare ** 2)
  expect(stranger.mean).toBe(0)
  expect(stranger.variance).toBeCloseTo(ohmsShare ** 2)
})

test('several loads together teach the leads alone', () => {
  const factors = learned([{ drawn: 8, read: 11 }], [])
  expect(factors.known('leads')?.mean).toBeGreaterThan(0)
  expect(after(factors, []).variance).toBeCloseTo(ohmsShare ** 2)
})

test('ohms as drawn, read through what is shared, come back', () => {
  fc.assert(
    fc.property(winding, off, (drawn, share) => {
      const known = after(learned([{ drawn: 10, read: 10 * (1 + share) }]))
      const back = fromOhmsScale(ohmsAsDrawn(ohmsCenter(drawn, known), known))
      expect(back / drawn).toBeGreaterThan(0.85)
      expect(back / drawn).toBeLessThan(1.15)
    }),
  )
})

test('a reading that was rounded to a whole ohm says less of few ohms than one with its tenths', () => {
  const known = after(learned([{ drawn: 2.7, read: 2.7 }]))
  const density = (read: number, rounding: number): number =>
    goodDensity('ohms', read, 1.4, { ...known, rounding, nominal: 0 })
  expect(density(1, 0.29) / density(1.4, 0.29)).toBeGreaterThan(density(1, 0.029) / density(1.4, 0.029))
})

test('windings are told apart by each other where nobody could by the plate', () => {
  expect(spreadsApart('ohms', 2.7, 1.4)).toBeLessThan(3)
  expect(spreadsApart('compared ohms', 2.7, 1.4)).toBeGreaterThan(3)
  expect(spreadsApart('compared ohms', 0.6, 0.5)).toBeLessThan(3)
  expect(spreadsApart('compared ohms', 2.7, null)).toBe(Infinity)
})
