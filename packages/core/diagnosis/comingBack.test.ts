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
