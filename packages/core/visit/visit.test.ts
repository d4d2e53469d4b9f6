import fc from 'fast-check'
import { compareClocks, tick, witness, type Clock } from './clock'
import type { EntryBody } from './entry'
import { merge, type Entry } from './log'
import { foldVisit, signOffProblems } from './visitState'

const entry = (id: string, wall: number, body: EntryBody, device = 'a'): Entry => ({ id, visit: 'v', by: 'p', clock: { wall, counter: 0, device }, body })

const bodies: fc.Arbitrary<EntryBody> = fc.oneof(
  fc.constantFrom<EntryBody>({ kind: 'call', call: 'cool1' }, { kind: 'call', call: 'off' }, { kind: 'power', is: 'isolated' }, { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.Y1' }),
  fc.double({ min: 0, max: 500, noNaN: true }).map((value): EntryBody => ({ kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value })),
)
const logs = fc.array(fc.record({ id: fc.uuid(), wall: fc.nat(1000), counter: fc.nat(3), device: fc.constantFrom('a', 'b', 'c'), body: bodies }), { maxLength: 30 })
  .map((raw) => raw.map(({ id, wall, counter, device, body }): Entry => ({ id, visit: 'v', by: 'p', clock: { wall, counter, device }, body })))

test('a log folds to the same visit in any order, with any doubles, from any split between devices', () => {
  fc.assert(fc.property(logs, fc.nat(), (log, seed) => {
    const mixed = [...log].sort((a, b) => ((a.id.charCodeAt(0) * 7 + seed) % 13) - ((b.id.charCodeAt(1) * 5 + seed) % 11))
    const half = log.slice(0, Math.floor(log.length / 2))
    expect(foldVisit(mixed)).toEqual(foldVisit(log))
    expect(foldVisit([...log, ...half])).toEqual(foldVisit(log))
    expect(merge(half, merge(log, half))).toEqual(merge(log))
  }))
})

test('an answer comes after what it answers, however wrong the clocks', () => {
  fc.assert(fc.property(fc.integer({ min: -7_200_000, max: 7_200_000 }), fc.array(fc.nat(5000), { maxLength: 20 }), (skew, steps) => {
    let now = 1_000_000_000
    let a: Clock = { wall: 0, counter: 0, device: 'a' }
    let b: Clock = { wall: 0, counter: 0, device: 'b' }
    for (const step of steps) {
      now += step
      const said = (a = tick(a, now))
      b = tick(witness(b, said), now + skew)
      expect(compareClocks(said, b)).toBeLessThan(0)
      a = witness(a, b)
    }
  }))
})

test('a retracted reading is gone from the visit and stays in the log', () => {
  const log = [entry('1', 1, { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 3 }), entry('2', 2, { kind: 'retracted', entry: '1' })]
  expect(foldVisit(log).readings).toHaveLength(0)
  expect(merge(log)).toHaveLength(2)
})

test('a visit is not signed off as repaired over a bridge, without a repair, or without proof', () => {
  const bridge = entry('1', 1, { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.Y1' })
  const off = entry('2', 2, { kind: 'action', do: 'unbridge', of: 'TB.Y1', to: 'TB.R' })
  const repair = entry('3', 3, { kind: 'repair', of: 'LPS1' })
  const proof = entry('4', 4, { kind: 'proof', call: 'cool1', words: '', passed: true })
  expect(signOffProblems(foldVisit([bridge, repair, proof])).join()).toMatch(/bridge is still on/)
  expect(signOffProblems(foldVisit([bridge, off])).join()).toMatch(/No repair/)
  expect(signOffProblems(foldVisit([repair])).join()).toMatch(/not proven/)
  expect(signOffProblems(foldVisit([bridge, off, repair, proof]))).toEqual([])
})
