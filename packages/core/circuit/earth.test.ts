import { builtInUnit, builtInUnitIds } from '../units/index'
import type { Effect } from '../parts/effect'
import { faultsOf } from '../diagram/faults'
import type { Diagram } from '../diagram/diagram'
import { Circuit } from './circuit'
import { meterValue } from './meter'
import { situationOf } from './situation'

/** Wires of the equipment ground: from the supply's bar to the metal, and from metal to metal. */
const greenWires = (diagram: Diagram) =>
  [...diagram.wires.values()].filter(({ wiring, color }) => wiring === 'line' && color === 'green')
const effectsOf = (diagram: Diagram, fault: string): readonly Effect[] =>
  faultsOf(diagram).find(({ id }) => id === fault)?.effects ?? []

describe.each(builtInUnitIds)('%s', (id) => {
  const unit = builtInUnit(id)

  test('puts no load current through its green wire, in any call', () => {
    for (const call of unit.calls) {
      const circuit = new Circuit(unit, situationOf(unit, call.id))
      for (const { from, to } of greenWires(unit))
        expect([call.id, meterValue(circuit.healthy, 'amps', from, to)]).toEqual([
          call.id,
          expect.closeTo(0, 1),
        ])
    }
  })
})

const fanCoil = builtInUnit('fan-coil-two-pipe')
const inCall = (call: string, effects: readonly Effect[]) =>
  new Circuit(fanCoil, situationOf(fanCoil, call)).vary(effects)

test('an open neutral floats: full volts to ground on it, through the loads, and none leg to neutral', () => {
  const open = inCall('heat1', effectsOf(fanCoil, 'SV.N-TB.N:open'))
  expect(meterValue(open, 'volts', 'TB.N', 'EARTH')).toBeGreaterThan(110)
  expect(meterValue(open, 'volts', 'TB.L', 'TB.N')).toBeLessThan(10)
})

test('a leg on the metal opens its breaker through the green wire, and does not where that is open', () => {
  const onMetal: Effect = { does: 'join', from: 'HR.COM1', to: 'EARTH', ohms: 0.1 }
  const isOpen = (effects: readonly Effect[]): boolean => {
    const settled = inCall('off', effects)
    return settled.states[settled.circuit.network.linkNumbers.get('BRH/pole1') ?? -1] === 'open'
  }
  expect(isOpen([onMetal])).toBe(true)
  expect(isOpen([onMetal, ...effectsOf(fanCoil, 'SV.G-G1.1:open')])).toBe(false)
})
