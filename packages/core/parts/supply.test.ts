import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { bench } from '../circuit/testBench'
import { readLadder } from '../diagram/readLadder'
import type { Effect } from './effect'

const fed = (system: string) => {
  const diagram = readLadder(
    bench(
      system,
      'part M three-phase-fan "Motor" in here : amps 10, volts 240\npart B breaker "Breaker" in here : poles 3, amps 20',
      '  SV.L1 -black 1- B.L1 = B.T1 -black 2- M.T1\n  SV.L2 -red 3- B.L2 = B.T2 -red 4- M.T2\n  SV.L3 -blue 5- B.L3 = B.T3 -blue 6- M.T3',
    ),
  )
  const circuit = new Circuit(diagram, situationOf(diagram, 'off'))
  return {
    looks: () => circuit.looks(circuit.healthy).get('M') ?? [],
    volts: (from: string, to: string, effects: readonly Effect[] = []) =>
      meterValue(circuit.vary(effects), 'volts', from, to) ?? NaN,
  }
}
/** A winding to ground behind the breaker. */
const groundedAt = (terminal: string): readonly Effect[] => [
  { does: 'join', from: terminal, to: 'EARTH', ohms: 0.3 },
]
const pairs = [
  ['SV.L1', 'SV.L2'],
  ['SV.L2', 'SV.L3'],
  ['SV.L3', 'SV.L1'],
] as const

// 240/√3 is 138.6: a plain delta stands evenly about ground while nothing touches it
test.each([
  ['240 delta', [138.6, 138.6, 138.6]],
  ['240 delta, L1 grounded', [0, 240, 240]],
  ['240 delta, L2 grounded', [240, 0, 240]],
  ['240 delta, L3 grounded', [240, 240, 0]],
] as const)('%s: 240 V between its legs in their order, %j V to ground', (system, toGround) => {
  const { volts, looks } = fed(system)
  for (const [a, b] of pairs) expect(volts(a, b)).toBeCloseTo(240, 0)
  toGround.forEach((nominal, k) => {
    expect(volts(`SV.L${k + 1}`, 'EARTH')).toBeCloseTo(nominal, 0)
  })
  expect(looks()).toEqual(['turning'])
})

test('a first ground fault opens nothing on a delta that nothing bonds, and lifts the other legs', () => {
  const { volts } = fed('240 delta')
  expect(volts('B.T1', 'B.T2', groundedAt('M.T1'))).toBeCloseTo(240, 0)
  expect(volts('B.T2', 'EARTH', groundedAt('M.T1'))).toBeCloseTo(240, 0)
})

test('on a corner-grounded one it opens the breaker, but for the leg that is grounded anyway', () => {
  const { volts } = fed('240 delta, L2 grounded')
  expect(volts('B.T1', 'B.T3', groundedAt('M.T1'))).toBeLessThan(1)
  expect(volts('B.T1', 'B.T3', groundedAt('M.T2'))).toBeCloseTo(240, 0)
})
