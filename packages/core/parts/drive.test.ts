import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'

const unit = builtInUnit('air-handler-drive-running')
/** The unit as it settles in a call with one fault; '' is none. */
const settledWith = (fault: string, call: string, power: 'on' | 'off' = 'on') => {
  const found = faultsOf(unit).find(({ id }) => id === fault)
  if (fault !== '' && !found) throw new Error(`no fault ${fault}`)
  return new Circuit(unit, situationOf(unit, call, power)).vary(found?.effects ?? [])
}
const outputVolts = (call: string, fault: string): number =>
  meterValue(settledWith(fault, call), 'volts', 'VD.T1', 'VD.T2') ?? NaN

test('in hand a drive runs whatever is called, stopped at its keypad never, in auto by its run call', () => {
  for (const call of ['off', 'fan']) {
    expect(outputVolts(call, 'VD:in-hand')).toBeGreaterThan(400)
    expect(outputVolts(call, 'VD:left-off')).toBeLessThan(1)
  }
  expect(outputVolts('off', '')).toBeLessThan(1)
  expect(outputVolts('fan', '')).toBeGreaterThan(400)
})

test('its bus stands at what it rectifies, with a leg lost too, and is dead by its own fault', () => {
  const busVolts = (power: 'on' | 'off', fault: string): number =>
    meterValue(settledWith(fault, 'fan', power), 'dc', 'VD.BP', 'VD.BN') ?? NaN
  // a three-phase bridge gives 1.35 of the volts leg to leg under load, √2 of them at rest
  for (const fault of ['', 'BF:fuse1-open', 'VD:locked-out']) {
    expect(busVolts('on', fault)).toBeGreaterThan(1.35 * 480)
    expect(busVolts('on', fault)).toBeLessThan(Math.SQRT2 * 480)
  }
  expect(Math.abs(busVolts('on', 'VD:bus-dead'))).toBeLessThan(1)
  expect(Math.abs(busVolts('off', ''))).toBeLessThan(1)
})

test('locked out it takes no more than an idle drive does, and keeps its bus', () => {
  const locked = settledWith('VD:locked-out', 'fan')
  expect(meterValue(locked, 'amps', 'LB.L1', 'BF.L1')).toBeLessThan(0.1)
  expect(meterValue(locked, 'dc', 'VD.BP', 'VD.BN')).toBeGreaterThan(600)
})

test('a winding to ground stops it, by its own protection and no fuse before it', () => {
  for (const fault of ['IFM:T1-grounded', 'VD.T2-IFM.T2:grounded']) {
    const settled = settledWith(fault, 'fan')
    expect(meterValue(settled, 'volts', 'VD.T1', 'VD.T2')).toBeLessThan(1)
    expect(meterValue(settled, 'volts', 'BF.T1', 'BF.T2')).toBeCloseTo(480, -1)
  }
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

test('a dark display with three legs at the drive and nothing on its bus is the drive itself', () => {
  const legs = (['L1', 'L2', 'L3'] as const).map((leg): EntryBody => ({
    kind: 'reading',
    meter: 'volts',
    from: `VD.${leg}`,
    to: 'EARTH',
    value: 277,
    typed: '277',
  }))
  const bus: EntryBody = { kind: 'reading', meter: 'dc', from: 'VD.BP', to: 'VD.BN', value: 0, typed: '0' }
  const found = leader('no-air', [
    { kind: 'call', call: 'fan' },
    seen('IFM', 'still'),
    runVolts(24),
    seen('VD', 'code', 'dark'),
    ...legs,
    bus,
  ])
  expect(found.id).toBe('VD:bus-dead')
  expect(found.chance).toBeGreaterThan(0.8)
})
