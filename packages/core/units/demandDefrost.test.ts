import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { familyMember } from '../families/testMember'
import type { Conditions } from '../parts/kind'
import type { EntryBody } from '../visit/entry'

const unit = familyMember('split-heat-pump', { defrost: 'demand' })

const settledIn = (conditions: Conditions, fault = '') => {
  const situation = situationOf(unit, 'defrost')
  const circuit = new Circuit(unit, {
    ...situation,
    conditions: { ...situation.conditions, ...conditions },
  })
  const settled = circuit.vary(faultsOf(unit).find(({ id }) => id === fault)?.effects ?? [])
  return {
    settled,
    defrosts: settled.states[circuit.network.linkNumbers.get('DF/reverse') ?? -1] === 'closed',
    code: circuit.looks(settled).get('DF') ?? [],
  }
}
const coil = (outdoorDryBulb: number, outdoorCoilTemperature: number): Conditions => ({
  outdoorDryBulb,
  outdoorCoilTemperature,
})

test('it defrosts when the coil is so much colder than the air that it must be frosted, and not else', () => {
  expect(settledIn(coil(30, 22)).defrosts).toBe(true)
  expect(settledIn(coil(30, 27)).defrosts).toBe(false)
  expect(settledIn(coil(55, 44)).defrosts).toBe(false)
})

test.each(['CTS:element-open', 'ATS:element-open', 'CTS:shorted', 'DF.CT+-CTS.1:open', 'ATS.2-DF.AM-:open'])(
  '%s: a sensor out of its range keeps it from defrosting',
  (fault) => {
    expect(faultsOf(unit).some(({ id }) => id === fault)).toBe(true)
    expect(settledIn(coil(30, 22), fault).defrosts).toBe(false)
  },
)

test('the sensors read as their tables have it, in direct volts', () => {
  const { settled } = settledIn(coil(30, 22))
  const direct = (at: string) => meterValue(settled, 'dc', `DF.${at}+`, `DF.${at}-`) ?? NaN
  // a 10 kΩ thermistor behind 10 kΩ on 5 V: colder is nearer to five
  expect(direct('CT')).toBeGreaterThan(direct('AM'))
  expect(direct('AM')).toBeGreaterThan(3.5)
  expect(direct('CT')).toBeLessThan(4.6)
})

test('a board that names its sensors, five volts on the coil’s and less on the air’s: the coil’s, or its wires', () => {
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'defrost' },
    { kind: 'condition', of: 'outdoorDryBulb', value: 30 },
    { kind: 'observation', what: 'code', of: 'DF', words: '4 flashes' },
    { kind: 'reading', meter: 'dc', from: 'DF.CT+', to: 'DF.CT-', value: 5 },
    { kind: 'reading', meter: 'dc', from: 'DF.AM+', to: 'DF.AM-', value: 3.9 },
  ]
  const { ranked, model, belief } = diagnose(unit, { complaint: 'cold-mornings', entries })
  const ofCoil = ranked.filter((h) => /^(CTS:|DF\.CT|CTS\.2-DF)/.test(model.hypotheses[h].id))
  const share = ofCoil.reduce((sum, h) => sum + belief.probability[h], 0)
  expect(share).toBeGreaterThan(0.8)
})
