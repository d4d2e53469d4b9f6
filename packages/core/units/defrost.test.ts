import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { faultsOf } from '../diagram/faults'
import type { Conditions } from '../parts/kind'
import { builtInUnit } from './index'

/** Whether a heat pump defrosts in the call for it: valve turned over, outdoor fan resting. */
function defrosts(id: string, conditions: Conditions = {}, fault = ''): boolean {
  const unit = builtInUnit(id)
  const situation = situationOf(unit, 'defrost')
  const circuit = new Circuit(unit, {
    ...situation,
    conditions: { ...situation.conditions, ...conditions },
  })
  const effects = faultsOf(unit).find((each) => each.id === fault)?.effects ?? []
  const { states } = circuit.vary(effects)
  const state = (link: string) => states[circuit.network.linkNumbers.get(link) ?? -1]
  return state('DF/reverse') === 'closed' && state('DF/fan') === 'open'
}

test.each(['split-heat-pump', 'package-heat-pump'])('%s defrosts by its timer and its thermostat', (id) => {
  expect(defrosts(id)).toBe(true)
  expect(defrosts(id, { outdoorCoilTemperature: 60 })).toBe(false)
  expect(defrosts(id, {}, 'DFT:contact-open')).toBe(false)
  expect(defrosts(id, { outdoorCoilTemperature: 60 }, 'DFT:stuck')).toBe(true)
  expect(defrosts(id, {}, 'DF.DT1-DFT.1:open')).toBe(false)
})

test.each(['split-heat-pump', 'package-heat-pump'])('%s stays in defrost with its relay welded', (id) => {
  expect(defrosts(id, { outdoorCoilTemperature: 60 }, 'DF:defrost-stuck')).toBe(true)
})
