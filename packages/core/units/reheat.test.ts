import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { familyMember } from '../families/testMember'
import { volts } from '../visit/testReadings'

const unit = familyMember('rooftop', { reheat: 'fitted' })
const seat = (call: string, returnHumidity: number, fault = '') => {
  const circuit = new Circuit(unit, situationOf(unit, call, 'on', { returnHumidity }))
  const settled = circuit.vary(faultsOf(unit).find(({ id }) => id === fault)?.effects ?? [])
  return settled.states[circuit.network.linkNumbers.get('RHV/seat') ?? -1]
}

test('air is reheated while it is damp and the first compressor runs', () => {
  expect(seat('cool1', 65)).toBe('open')
  expect(seat('cool1', 45)).toBe('shut')
  expect(seat('fan', 65)).toBe('shut')
  for (const fault of ['HUM:contact-open', 'RHV:coil-open', 'RHV:stays-shut', 'CC1:coil-open'])
    expect([fault, seat('cool1', 65, fault)]).toEqual([fault, 'shut'])
  expect(seat('cool1', 45, 'HUM:stuck')).toBe('open')
})

test('a coil that has its volts and does not open is told from a humidistat that does not close', () => {
  const told = (across: number) => {
    const { ranked, model } = diagnose(unit, {
      complaint: '',
      entries: [
        { kind: 'condition', of: 'returnHumidity', value: 68 },
        { kind: 'call', call: 'cool1' },
        volts('HUM.1', 25),
        volts('RHV.1', across),
        { kind: 'observation', what: 'shut', of: 'RHV' },
      ],
    })
    return model.hypotheses[ranked[0]].of
  }
  expect(told(24.8)).toEqual(['RHV'])
  expect(told(0)[0]).toMatch(/^HUM/)
})
