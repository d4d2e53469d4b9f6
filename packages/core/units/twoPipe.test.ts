import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { builtInUnit } from './index'

test('a two-pipe fan coil opens its valve for a call that the water in the pipe can answer', () => {
  const unit = builtInUnit('fan-coil-two-pipe')
  const valve = (call: string, pipe: number): string => {
    const circuit = new Circuit(unit, situationOf(unit, call, 'on', { pipe }))
    return circuit.healthy.states[circuit.network.linkNumbers.get('VR/seat') ?? -1]
  }
  expect(valve('cool1', 46)).toBe('open')
  expect(valve('cool1', 120)).toBe('shut')
  expect(valve('heat2', 120)).toBe('open')
  expect(valve('heat1', 46)).toBe('shut')
})
