import { faultsOf } from '../diagram/faults'
import { builtInUnit, builtInUnitIds } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { mayComeAndGo } from './comingBack'
import { complaintChance } from './complaint'
import { diagnose, modelOf } from './diagnose'

const call = (id: string): EntryBody => ({ kind: 'call', call: id })
const wait = (seconds: number): EntryBody => ({ kind: 'wait', seconds })
const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
const volts = (from: string, to: string, value: number): EntryBody => ({
  kind: 'reading',
  meter: 'volts',
  from,
  to,
  value,
  typed: String(value),
})

/** What is believed of parts together, by their faults. */
function shareOf(unit: string, complaint: string, entries: readonly EntryBody[], parts: readonly string[]) {
  const { belief, model } = diagnose(builtInUnit(unit), { complaint, entries })
  return model.hypotheses.reduce(
    (sum, { of }, h) => sum + (of.some((part) => parts.includes(part)) ? (belief.probability[h] ?? 0) : 0),
    0,
  )
}

test('a pressure switch that was open and is closed again, behind a dirty coil, is the coil', () => {
  const cameBack = [
    call('cool1'),
    volts('HPS1.2', 'TB.C', 0),
    wait(300),
    volts('HPS1.2', 'TB.C', 25),
    seen('OC', 'dirty'),
  ]
  expect(shareOf('rooftop-enthalpy', 'comes-and-goes', cameBack, ['OC'])).toBeGreaterThan(0.7)
})

test('a coil is as dirty while its switch is closed: a look speaks for it or clears it', () => {
  const shareSeen = (what: string): number => {
    const lookedAt = [call('cool1'), volts('HPS1.2', 'TB.C', 25), seen('OC', what)]
    return shareOf('rooftop-enthalpy', 'comes-and-goes', lookedAt, ['OC'])
  }
  expect(shareSeen('dirty')).toBeGreaterThan(20 * shareSeen('clean'))
})

test('a condenser fan that stands on full volts is blamed when the high-pressure switch has opened later', () => {
  const tripped = [
    call('cool1'),
    seen('C1', 'turning'),
    seen('FM', 'still'),
    volts('FM.C', 'FM.R', 240),
    wait(600),
    seen('C1', 'still'),
    volts('HPS.2', 'TB.C', 0),
  ]
  expect(shareOf('package-heat-pump', 'comes-and-goes', tripped, ['FM', 'CAP2'])).toBeGreaterThan(0.7)
})

test('a frost thermostat that is closed again after a coil at 22 °F is not bridged for it', () => {
  const closedAgain: readonly EntryBody[] = [
    volts('FZ.1', 'FZ.2', 24),
    { kind: 'condition', of: 'coilTemperature', value: 22 },
    volts('FZ.1', 'FZ.2', 0),
    volts('FZ.1', 'FZ.2', 0),
  ]
  const { belief, model } = diagnose(builtInUnit('fan-coil-hydronic'), {
    complaint: 'comes-and-goes',
    entries: closedAgain,
  })
  const shareOfFault = (id: string): number =>
    belief.probability[model.hypotheses.findIndex((one) => one.id === id)]
  expect(shareOfFault('FZ:bridged')).toBeLessThan(0.05 * shareOfFault('FZ:tripped'))
})

// nothing was shorted when somebody came, and the fuse has opened at some time after that
test('a short that comes and goes need not have blown its fuse while it was away', () => {
  const shorted: readonly EntryBody[] = [
    volts('FLT.2', 'TB.C', 24),
    seen('IFM', 'turning'),
    call('heat1'),
    volts('ZR.NO1', 'TB.C', 24),
    seen('PMP', 'turning'),
    volts('FLT.1', 'FLT.AL', 24),
    volts('ZR.COM1', 'ZR.NO1', 0),
    seen('IFM', 'still'),
    volts('FU.T1', 'TB.C', 0),
    volts('XF.S1', 'TB.C', 24.4),
  ]
  const said = diagnose(builtInUnit('fan-coil-hydronic'), { complaint: 'comes-and-goes', entries: shorted })
  const share = (is: (id: string) => boolean): number =>
    said.model.hypotheses.reduce(
      (sum, { id }, h) => sum + (is(id) ? (said.belief.probability[h] ?? 0) : 0),
      0,
    )
  expect(share((id) => /^[A-Z0-9]+:coil-shorted$/.test(id))).toBeGreaterThan(
    10 * share((id) => id === 'XF.S1-FU.L1:open'),
  )
})

test.each(builtInUnitIds)(
  '%s: what opens a switch that goes back by itself is a reason to stop and start',
  (id) => {
    const unit = builtInUnit(id)
    const model = modelOf(unit)
    const fouled = faultsOf(unit).filter((fault) => fault.class === 'fouled' && mayComeAndGo(unit, fault))
    for (const { id: fault } of fouled) {
      const h = model.hypotheses.findIndex((hypothesis) => hypothesis.id === fault)
      expect([fault, complaintChance(model, 'comes-and-goes', h)]).toEqual([fault, 1])
    }
    const byHand = faultsOf(unit).filter(
      ({ class: sort, clears }) => sort === 'trip' && clears?.includes('reset'),
    )
    expect(byHand.filter((fault) => mayComeAndGo(unit, fault))).toEqual([])
  },
)
