import { readLadder } from '../diagram/readLadder'
import type { Effect } from '../parts/effect'
import { Circuit } from './circuit'
import { meterValue } from './meter'
import type { Meter } from './meters'
import { situationOf } from './situation'
import { bench } from './testBench'

const reader = (text: string, conditions = {}) => {
  const diagram = readLadder(text)
  const circuit = new Circuit(diagram, situationOf(diagram, 'off', 'on', conditions))
  return (meter: Meter, from: string, to: string, effects: readonly Effect[] = []): number =>
    meterValue(circuit.vary(effects), meter, from, to) ?? NaN
}

test('the supply of a unit on one leg is measured to neutral, and is so many volts', () => {
  const read = reader(
    bench(
      '120 one leg',
      'part H heater "Load" in here : watts 40, volts 120',
      `  SV.L1 -black 1- H.1 = H.2 -white 2- SV.N`,
    ),
    {
      supplyVolts: 118,
    },
  )
  expect(read('volts', 'H.1', 'SV.N')).toBeCloseTo(118, 0)
})

const transformer = (tap: string) =>
  reader(
    bench(
      '208Y/120 one leg pair',
      'part XF transformer "Transformer" in here : va 40, taps "208,230,240"',
      `  SV.L1 -black 1- XF.COM = XF.${tap} -red 2- SV.L2`,
    ),
  )

test.each([
  ['P208', 26.4],
  ['P230', 23.87],
  ['P240', 22.88],
])('208 V on tap %s gives %d V with no load', (tap, volts) => {
  expect(transformer(tap)('volts', 'XF.S1', 'XF.S2')).toBeCloseTo(volts, 1)
})

test('rated load gives rated volts', () => {
  const read = reader(
    bench(
      '208Y/120 one leg pair',
      'part XF transformer "Transformer" in here : va 40, taps "208"\npart H heater "Load" in here : watts 40, volts 24',
      '  SV.L1 -black 1- XF.COM = XF.P208 -red 2- SV.L2\n  XF.S1 -red 3- H.1 = H.2 -brown 4- XF.S2',
    ),
  )
  expect(read('volts', 'H.1', 'H.2')).toBeCloseTo(24, 1)
  expect(read('amps', 'XF.S1', 'H.1')).toBeCloseTo(1.667, 2)
})

test('10 kW at 240 V on 208 V takes 36.1 A', () => {
  const read = reader(
    bench(
      '208Y/120 one leg pair',
      'part H heater "Heater" in here : watts 10000, volts 240',
      '  SV.L1 -black 1- H.1 = H.2 -red 2- SV.L2',
    ),
  )
  expect(read('amps', 'SV.L1', 'H.1')).toBeCloseTo(36.1, 1)
})

const bank = reader(
  bench(
    '240 high leg',
    'part H heater-bank "Bank" in here : watts 15000, volts 240',
    '  SV.L1 -black 1- H.1\n  SV.L2 -red 2- H.2\n  SV.L3 -blue 3- H.3',
  ),
)
const legs = (effects: readonly Effect[] = []): readonly number[] =>
  [1, 2, 3].map((n) => bank('amps', `SV.L${n}`, `H.${n}`, effects))

test('a delta bank: 36.08 A a line; one element open 20.83, 20.83, 36.08 A; one line open 31.25 A twice', () => {
  for (const amps of legs()) expect(amps).toBeCloseTo(36.08, 1)
  const open = [...legs([{ does: 'open', branch: 'H/element1' }])].sort((a, b) => a - b)
  expect(open[0]).toBeCloseTo(20.83, 1)
  expect(open[1]).toBeCloseTo(20.83, 1)
  expect(open[2]).toBeCloseTo(36.08, 1)
  const lost = [...legs([{ does: 'open', branch: 'SV.L3-H.3' }])].sort((a, b) => a - b)
  expect(lost[0]).toBeLessThan(0.01)
  expect(lost[1]).toBeCloseTo(31.25, 1)
  expect(lost[2]).toBeCloseTo(31.25, 1)
})

const motor = reader(
  bench(
    '208Y/120',
    'part M three-phase-fan "Motor" in here : amps 10, volts 208\npart D disconnect "Switch" in here',
    '  SV.L1 -black 1- D.L1 = D.T1 -black 2- M.T1\n  SV.L2 -red 3- D.L2 = D.T2 -red 4- M.T2\n  SV.L3 -blue 5- D.L3 = D.T3 -blue 6- M.T3',
  ),
)
const lostLeg: readonly Effect[] = [{ does: 'open', branch: 'D/pole3' }]
const stalled: readonly Effect[] = [1, 2, 3].map((n) => ({
  does: 'hold',
  branch: `M/winding${n}`,
  state: 'stalled',
}))

test('a running motor that loses a leg goes on with about 1.7 times the current and generates volts toward the dead leg', () => {
  expect(motor('amps', 'D.T1', 'M.T1')).toBeCloseTo(10, 1)
  const share = motor('amps', 'D.T1', 'M.T1', lostLeg) / 10
  expect(share).toBeGreaterThan(1.5)
  expect(share).toBeLessThan(1.9)
  expect(motor('amps', 'D.T3', 'M.T3', lostLeg)).toBeLessThan(0.01)
  const toward = [motor('volts', 'M.T1', 'M.T3', lostLeg), motor('volts', 'M.T2', 'M.T3', lostLeg)]
  expect(Math.min(...toward)).toBeGreaterThan(0.7 * 208)
  expect(Math.max(...toward)).toBeGreaterThan(0.85 * 208)
})

test('stalled on two legs, each reads half the line toward the dead one', () => {
  expect(motor('volts', 'M.T1', 'M.T3', [...lostLeg, ...stalled])).toBeCloseTo(104, 0)
})
