import { faultsOf } from '../diagram/faults'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { Circuit } from './circuit'
import { loopOf } from './loop'
import { situationOf } from './situation'

interface Started {
  readonly name: string
  readonly circuit: Circuit
  readonly effects: ReturnType<typeof faultsOf>[number]['effects']
}

/** Every single fault with which one of two units does not come to rest when it cools. */
function* startingOver(): Generator<Started> {
  for (const unit of ['rooftop-two-stage', 'package-heat-pump-unfused'].map(builtInUnit)) {
    const circuit = new Circuit(unit, situationOf(unit, 'cool1'))
    for (const { id, effects } of faultsOf(unit))
      if (circuit.vary(effects).oscillates) yield { name: `${unit.id} ${id}`, circuit, effects }
  }
}

test('held as it stands in one of its states, a unit that starts over rests', () => {
  const all = [...startingOver()]
  expect(all.length).toBeGreaterThan(20)
  const lasting = all.map(({ name, circuit, effects }) => {
    const loop = loopOf(circuit.vary(effects))
    for (const { held, seconds } of loop) {
      expect(seconds).toBeGreaterThanOrEqual(0)
      expect([name, circuit.vary([...effects, ...held]).oscillates]).toEqual([name, false])
    }
    return loop.reduce((sum, { seconds }) => sum + seconds, 0)
  })
  // the clock that a thermostat keeps its compressor by, and how long it takes to come back
  expect(lasting.filter((seconds) => seconds > 300).length).toBeGreaterThan(5)
})

test('what comes to rest goes round nowhere', () => {
  for (const unit of builtInUnitIds.map(builtInUnit)) {
    const circuit = new Circuit(unit, situationOf(unit, unit.calls[0].id))
    expect(loopOf(circuit.healthy)).toEqual([])
  }
})
