import { faultsOf } from '../diagram/faults'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { Circuit } from './circuit'
import { MeterSweep, valueBetween, voltsBetween } from './meter'
import type { LeadMeter } from './meters'
import { situationOf } from './situation'

const leadMeters: readonly LeadMeter[] = ['volts', 'loz', 'dc', 'millivolts', 'ohms']
/** Pairs of nodes looked at in each call of each unit, other ones in each. */
const pairsEach = 12

/** The same reading, but for the last bits; a reading at the very edge of a range may fall on either side. */
const same = (swept: number, single: number | null): boolean =>
  single === null ? Number.isNaN(swept) : Math.abs(swept - single) <= 1e-9 * Math.abs(single) + 1e-9

describe.each(builtInUnitIds.map((id, unit) => [id, unit] as const))('%s', (id, unit) => {
  const diagram = builtInUnit(id)
  // every second call, other ones in each unit
  const calls = diagram.calls
    .map(({ id: call }, k) => [call, k] as const)
    .filter(([, k]) => k % 2 === unit % 2)

  test.each(calls)('in %s: a sweep over all faults reads what each of them does alone', (call, k) => {
    const circuit = new Circuit(diagram, situationOf(diagram, call))
    const states = [circuit.healthy, ...faultsOf(diagram).map(({ effects }) => circuit.vary(effects))]
    const { earthNode } = circuit.network
    for (const meter of leadMeters) {
      const sweep = new MeterSweep(meter, states)
      for (let n = 0; n < pairsEach; n++) {
        // earth is among them, and a node against itself
        const a = (n * 37 + k * 11) % (earthNode + 1)
        const b = n === 0 ? a : n % 3 === 0 ? earthNode : (n * 101 + k * 7 + 5) % (earthNode + 1)
        const swept = sweep.read(a, b)
        states.forEach((settled, place) => {
          const single = valueBetween(settled, meter, a, b)
          if (!same(swept[place], single))
            throw new Error(`${meter} ${a} ${b}, state ${place}: ${swept[place]} swept, ${single} alone`)
        })
      }
    }
  })
})

test('states of several factorisations, in any order, and one state alone', () => {
  const diagram = builtInUnit('rooftop-480')
  const circuit = new Circuit(diagram, situationOf(diagram, 'cool2'))
  const states = [...faultsOf(diagram)].reverse().map(({ effects }) => circuit.vary(effects))
  expect(new Set(states.map(({ ac }) => ac.base)).size).toBeGreaterThan(1)
  const a = circuit.network.nodes.get('CC1.A1') ?? -1
  const b = circuit.network.nodes.get('TB.C') ?? -1
  const all = new MeterSweep('volts', states).read(a, b)
  states.forEach((settled, place) => {
    expect(new MeterSweep('volts', [settled]).read(a, b)[0]).toBe(all[place])
  })
})

test('a point floats where a meter of low resistance pulls it down, swept and alone', () => {
  const diagram = builtInUnit('rooftop-480')
  const circuit = new Circuit(diagram, situationOf(diagram, 'cool1'))
  const states = [circuit.healthy, ...faultsOf(diagram).map(({ effects }) => circuit.vary(effects))]
  const sweep = new MeterSweep('volts', states)
  const loaded = new MeterSweep('loz', states)
  const { earthNode } = circuit.network
  let floating = 0
  for (let a = 0; a < earthNode; a += 7) {
    const volts = sweep.read(a, earthNode).slice()
    const loz = loaded.read(a, earthNode)
    states.forEach((settled, place) => {
      const floats = volts[place] >= 5 && loz[place] < volts[place] / 2
      floating += floats ? 1 : 0
      const told = [sweep.floats[place] === 1, voltsBetween(settled, a, earthNode).floats]
      if (told.some((itFloats) => itFloats !== floats))
        throw new Error(`node ${a}, state ${place}: ${told.join()} told, ${floats} by the volts`)
    })
  }
  expect(floating).toBeGreaterThan(0)
})
