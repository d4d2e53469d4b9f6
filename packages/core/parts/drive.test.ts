import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'

const unit = builtInUnit('air-handler-drive-running')
const outputVolts = (call: string, fault: string): number => {
  const effects = faultsOf(unit).find(({ id }) => id === fault)?.effects ?? []
  const settled = new Circuit(unit, situationOf(unit, call)).vary(effects)
  return meterValue(settled, 'volts', 'VD.T1', 'VD.T2') ?? NaN
}

test('in hand a drive runs whatever is called, stopped at its keypad never, in auto by its run call', () => {
  for (const call of ['off', 'fan']) {
    expect(outputVolts(call, 'VD:in-hand')).toBeGreaterThan(400)
    expect(outputVolts(call, 'VD:left-off')).toBeLessThan(1)
  }
  expect(outputVolts('off', '')).toBeLessThan(1)
  expect(outputVolts('fan', '')).toBeGreaterThan(400)
})

const leader = (complaint: string, entries: readonly EntryBody[]) => {
  const { ranked, belief, model } = diagnose(unit, { complaint, entries })
  return { id: model.hypotheses[ranked[0]].id, chance: belief.probability[ranked[0]] }
}
const runVolts = (value: number): EntryBody => ({
  kind: 'reading',
  meter: 'volts',
  from: 'VD.RUN',
  to: 'TB.C',
  value,
  typed: String(value),
})
const seen = (of: string, what: string, words?: string): EntryBody => ({
  kind: 'observation',
  of,
  what,
  ...(words === undefined ? {} : { words }),
})

test('a blower that turns with nothing on the run call is a drive in hand', () => {
  const found = leader('will-not-stop', [{ kind: 'call', call: 'off' }, seen('IFM', 'turning'), runVolts(0)])
  expect(found.id).toBe('VD:in-hand')
  expect(found.chance).toBeGreaterThan(0.8)
})

test('a drive that is called and stands still is told by its display', () => {
  const called: readonly EntryBody[] = [{ kind: 'call', call: 'fan' }, seen('IFM', 'still'), runVolts(24)]
  expect(leader('no-air', [...called, seen('VD', 'code', 'off')]).id).toBe('VD:left-off')
  expect(leader('no-air', [...called, seen('VD', 'code', 'locked out')]).id).toBe('VD:locked-out')
})
