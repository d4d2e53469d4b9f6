import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { volts } from '../visit/testReadings'
import { familyMember } from '../families/testMember'

const unit = familyMember('rooftop', { 'gas-stages': '2' })
const packageUnit = familyMember('package-unit', { heat: 'gas', 'gas-stages': '2' })
const seats = (call: string, fault = '', of = unit) => {
  const circuit = new Circuit(of, situationOf(of, call))
  const settled = circuit.vary(faultsOf(of).find(({ id }) => id === fault)?.effects ?? [])
  return ['GV', 'GV2'].map((valve) => settled.states[circuit.network.linkNumbers.get(`${valve}/seat`) ?? -1])
}

test('low fire is the first stage, and high fire is fed beside it only while the flame burns', () => {
  expect(seats('off')).toEqual(['shut', 'shut'])
  expect(seats('heat1')).toEqual(['open', 'shut'])
  expect(seats('heat2')).toEqual(['open', 'open'])
  for (const fault of ['FR:dirty', 'IGN:element-open', 'LS1:tripped', 'RO:tripped'])
    expect([fault, ...seats('heat2', fault)]).toEqual([fault, 'shut', 'shut'])
})

test('so it is on a package unit', () => {
  expect(seats('heat1', '', packageUnit)).toEqual(['open', 'shut'])
  expect(seats('heat2', '', packageUnit)).toEqual(['open', 'open'])
  expect(seats('heat2', 'TS.W2-TB.W2:open', packageUnit)).toEqual(['open', 'shut'])
  expect(seats('heat2', 'DSW:contact-open', packageUnit)).toEqual(['shut', 'shut'])
})

test.each(['TS:relayW2-open', 'TS.W2-TB.W2:open', 'IC:high-open', 'GV2:coil-open'])(
  'with %s it stays at low fire, which heats too little on a cold morning and enough on others',
  (fault) => {
    expect(seats('heat2', fault)).toEqual(['open', 'shut'])
    expect(seats('heat1', fault)).toEqual(['open', 'shut'])
  },
)

test('too little heat is traced to the high-fire coil once volts are on it', () => {
  const { ranked, model } = diagnose(unit, {
    complaint: 'weak-heat',
    entries: [
      { kind: 'call', call: 'heat2' },
      volts('IC.W2', 25),
      volts('IC.MH', 24.8),
      { kind: 'observation', what: 'shut', of: 'GV2' },
    ],
  })
  expect(model.hypotheses[ranked[0]].id).toMatch(/^GV2:/)
})
