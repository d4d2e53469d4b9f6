import fc from 'fast-check'
import { modelOf } from './diagnose'
import { faultsToTell, isolateAll } from './isolate'
import { leastReadings, partingOf } from './leastReadings'
import { readingTable } from './readingTable'
import { builtInUnit } from '../units/index'

/** A table of a few classes and readings, small enough to try everything. */
const tables = fc.integer({ min: 2, max: 6 }).chain((classes) =>
  fc.record({
    prior: fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), {
      minLength: classes,
      maxLength: classes,
    }),
    rows: fc.array(fc.array(fc.nat(2), { minLength: classes, maxLength: classes }), {
      minLength: 1,
      maxLength: 5,
    }),
  }),
)
type Table = typeof tables extends fc.Arbitrary<infer T> ? T : never

const groupsBy = (outcome: readonly number[], members: readonly number[]): readonly (readonly number[])[] =>
  [0, 1, 2].map((seen) => members.filter((k) => outcome[k] === seen)).filter((group) => group.length > 0)

const weigh = ({ prior }: Table, members: readonly number[]): number =>
  members.reduce((sum, k) => sum + prior[k], 0) / prior.reduce((a, b) => a + b, 0)

/** What nothing parts is one class, and singled out when it is alone. */
const isOne = ({ rows }: Table, members: readonly number[]): boolean =>
  rows.every((outcome) => groupsBy(outcome, members).length === 1)

/** Every tree is tried. */
function bestWithin(table: Table, members: readonly number[], depth: number): number {
  if (isOne(table, members)) return weigh(table, members)
  if (depth === 0) return 0
  return Math.max(
    ...table.rows.map((outcome) =>
      groupsBy(outcome, members).reduce((sum, group) => sum + bestWithin(table, group, depth - 1), 0),
    ),
  )
}

function optimalMean(table: Table, members: readonly number[]): number {
  if (isOne(table, members)) return 0
  return (
    weigh(table, members) +
    Math.min(
      ...table.rows
        .filter((outcome) => groupsBy(outcome, members).length > 1)
        .map((outcome) =>
          groupsBy(outcome, members).reduce((sum, group) => sum + optimalMean(table, group), 0),
        ),
    )
  )
}

const boundOf = ({ prior, rows }: Table, floors: readonly number[]) =>
  leastReadings(
    partingOf(
      rows.map((outcome) => ({ outcome: Int32Array.from(outcome), outcomes: 3 })),
      prior.map((_, k) => k),
      prior,
    ),
    floors,
  )

test('what can be singled out is what trying every tree gives, or the floor, and the optimal tree does not beat the bound', () => {
  fc.assert(
    fc.property(
      tables,
      fc.array(fc.double({ min: 0, max: 0.6, noNaN: true }), { minLength: 1, maxLength: 3 }),
      (table, floors) => {
        const all = table.prior.map((_, k) => k)
        fc.pre(!isOne(table, all))
        const { singledOut, meanReadings } = boundOf(table, floors)
        floors.forEach((floor, d) =>
          expect(singledOut[d + 1]).toBeCloseTo(Math.max(floor, bestWithin(table, all, d + 1)), 9),
        )
        expect(meanReadings).toBeLessThanOrEqual(optimalMean(table, all) + 1e-9)
      },
    ),
    { numRuns: 400 },
  )
})

test('deep enough, it is reached where each reading parts all classes alike', () => {
  const bits = [0, 1, 2].map((bit) => Array.from({ length: 8 }, (_, k) => (k >> bit) & 1))
  expect(
    boundOf({ prior: Array.from({ length: 8 }, () => 1), rows: bits }, [0, 0, 0]).meanReadings,
  ).toBeCloseTo(3)
})

test('on a unit, no way to search beats it', () => {
  const model = modelOf(builtInUnit('fan-coil-two-pipe'))
  const rows = readingTable(model, 'tolerance')
  const least = leastReadings(
    partingOf(
      rows,
      faultsToTell(model, rows),
      model.hypotheses.map(({ prior }) => prior),
    ),
    [0, 0],
  )
  const { meanReadings, boundReadings } = isolateAll(model, 'best')
  expect(meanReadings).toBeGreaterThan(least.meanReadings)
  expect(least.meanReadings).toBeGreaterThan(boundReadings)
})

test('what no reading shows is not hunted, and is found all the same when it is asked for by its name', () => {
  const model = modelOf(builtInUnit('fan-coil-two-pipe'))
  const bridged = model.hypotheses.findIndex(({ id }) => id === 'LS:bridged')
  expect(faultsToTell(model, readingTable(model, 'tolerance'))).not.toContain(bridged)
  const all = isolateAll(model, 'best')
  const one = isolateAll(model, 'best', 'tolerance', ['LS:bridged'])
  expect(all.quiet).toBeGreaterThan(0)
  expect(all.quietShare).toBeLessThan(0.1)
  expect(one).toMatchObject({ faults: 1, foundShare: 1 })
  // nothing but the exclusion of all others tells it
  expect(one.meanReadings).toBeGreaterThan(2 * all.meanReadings)
})
