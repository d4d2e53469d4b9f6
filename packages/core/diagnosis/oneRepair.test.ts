import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { brief } from './briefing'
import { diagnose, judge } from './diagnose'
import { oneRepairOf, worthOf } from './oneRepair'
import { likely } from './outcomes'

const unit = builtInUnit('air-handler-drive')
/** Volts on the coil of the bypass contactor, and it stays out. */
const stillOut: readonly EntryBody[] = [
  { kind: 'call', call: 'fan' },
  { kind: 'wait', seconds: 120 },
  volts('TB.G', 26.4),
  volts('BC.A1', 26.4, 'BC.A2'),
  { kind: 'observation', of: 'BC', what: 'dropped-out' },
]
/** Its poles read open: the look was right. */
const open: EntryBody = volts('BC.L2', 277, 'BC.T2')

const repairAfter = (...entries: readonly EntryBody[]) => {
  const { model, belief } = judge(unit, { complaint: 'no-air', entries })
  return oneRepairOf(model, belief, likely(belief))
}

test('the faults of a contactor that is renewed for any of them are one repair, once they hold most', () => {
  expect(repairAfter(...stillOut.slice(0, 3))).toBeNull()
  const repair = repairAfter(...stillOut, open)
  expect(repair?.of).toBe('BC')
  expect(repair?.share).toBeGreaterThan(0.9)
})

test('what is reset, set or landed anew is no new part, and one fault alone needs no telling apart', () => {
  const tripped = repairAfter(
    { kind: 'call', call: 'fan' },
    { kind: 'observation', of: 'OLB', what: 'tripped' },
  )
  expect(tripped).toBeNull()
})

test('a step that may show another part goes before one that tells which fault of the same part it is', () => {
  const { next } = diagnose(unit, { complaint: 'no-air', entries: stillOut })
  expect(next[0]).toMatchObject({ inside: null, call: 'fan' })
  // the most that could be told is which: coil open or coil that pulls nothing
  const { next: then } = diagnose(unit, { complaint: 'no-air', entries: [...stillOut, open] })
  expect(then[0].bits).toBeLessThan(0.2)
})

test('an ask that only tells which fault of one part it is says so', () => {
  const { asks } = brief(unit, { complaint: 'no-air', entries: [...stillOut, open, volts('BS.G', 26.4)] })
  expect(asks[0].inside).toBe('Bypass contactor')
})

test('what a step tells inside the repair counts a tenth, what it tells of the rest counts whole', () => {
  const repair = { of: 'BC', which: [1, 2], share: 0.9 }
  expect(worthOf(null, 1, () => 1)).toEqual({ bits: 1, inside: null })
  expect(worthOf(repair, 0.5, () => 0)).toEqual({ bits: 0.5, inside: null })
  const both = worthOf(repair, 1, () => 0.5)
  expect(both.bits).toBeCloseTo(1 - 0.9 * 0.45)
  expect(both.inside).toBeNull()
  const only = worthOf(repair, 0.9, () => 1)
  expect(only.bits).toBeCloseTo(0.09)
  expect(only.inside).toBe('BC')
})
