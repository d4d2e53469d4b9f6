import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { familyMember } from '../families/testMember'
import type { EntryBody } from '../visit/entry'

const unit = familyMember('hydronic-fan-coil', { valves: 'modulating' })

const settledWith = (fault: string, call: string) => {
  const found = faultsOf(unit).find(({ id }) => id === fault)
  if (fault !== '' && !found) throw new Error(`no fault ${fault}`)
  return new Circuit(unit, situationOf(unit, call)).vary(found?.effects ?? [])
}
const signal = (valve: string, call: string, fault = ''): number =>
  meterValue(settledWith(fault, call), 'dc', `${valve}.S`, `${valve}.C`) ?? NaN
const looksOf = (valve: string, call: string, fault = ''): readonly string[] => {
  const settled = settledWith(fault, call)
  return settled.circuit.looks(settled).get(valve) ?? []
}

test('a thermostat calls each valve by ten volts of direct current, and the other by none', () => {
  expect(signal('HV', 'heat1')).toBeCloseTo(10, 0)
  expect(signal('CV', 'cool1')).toBeCloseTo(10, 0)
  for (const [valve, call] of [
    ['HV', 'cool1'],
    ['CV', 'heat1'],
    ['HV', 'off'],
  ] as const)
    expect(Math.abs(signal(valve, call))).toBeLessThan(0.1)
})

test('a valve opens on its signal and its power, and without either it is shut', () => {
  expect(looksOf('CV', 'cool1')).toContain('open-drawn')
  for (const fault of ['TS.AC-TB.AC:open', 'CV:motor-open', 'TS:signalAC-lost', 'CV:stays-shut'])
    expect([fault, looksOf('CV', 'cool1', fault)]).toEqual([fault, expect.arrayContaining(['shut'])])
  expect(looksOf('CV', 'off', 'TS:signalAC-held')).toContain('open-drawn')
})

const call: EntryBody = { kind: 'call', call: 'cool1' }
const direct = (from: string, to: string, value: number): EntryBody => ({
  kind: 'reading',
  meter: 'dc',
  from,
  to,
  value,
})
const leaders = (...entries: readonly EntryBody[]): readonly string[] => {
  const { ranked, model } = diagnose(unit, { complaint: 'not-cooling', entries: [call, ...entries] })
  return ranked.slice(0, 3).map((h) => model.hypotheses[h].id)
}

test('no signal at the valve and ten volts at the thermostat is the lead between them', () => {
  const found = leaders(direct('CV.S', 'CV.C', 0), direct('TS.AC', 'TS.C', 10))
  expect(found[0]).toBe('TS.AC-TB.AC:open')
})

test('signal and power on a valve that stays shut is the valve', () => {
  const fed: EntryBody = { kind: 'reading', meter: 'volts', from: 'CV.R', to: 'CV.C', value: 25 }
  const shut: EntryBody = { kind: 'observation', what: 'shut', of: 'CV' }
  expect(leaders(direct('CV.S', 'CV.C', 9.9), fed, shut)[0]).toMatch(/^CV:/)
})
