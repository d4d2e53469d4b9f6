import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { isAnswered } from './answered'
import { brief } from './briefing'
import { diagnose } from './diagnose'

const unit = builtInUnit('fan-coil-cooling')
const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
/** It cools, with everything that its call moves. */
const works: readonly EntryBody[] = [
  { kind: 'condition', of: 'outdoorDryBulb', value: 88 },
  { kind: 'call', call: 'cool1' },
  seen('IFM', 'turning'),
  seen('C1', 'turning'),
  seen('FM', 'turning'),
  volts('CC1.A1', 26),
]
const file = (complaint: string, ...entries: readonly EntryBody[]) => ({
  complaint,
  entries: [...works, ...entries],
})
const answered = (complaint: string, ...entries: readonly EntryBody[]): boolean => {
  const { model, findings, belief } = diagnose(unit, file(complaint, ...entries))
  return isAnswered(model, findings, belief)
}
const coolsWell: readonly EntryBody[] = [
  seen('FILT', 'clean'),
  seen('OC', 'clean'),
  seen('DRN', 'running'),
  { kind: 'reading', meter: 'amps', from: 'CC1.T1', to: 'C1.C', value: 8.8 },
  { kind: 'reading', meter: 'amps', from: 'CC1.T1', to: 'FM.C', value: 1.1 },
  { kind: 'reading', meter: 'amps', from: 'XF.S1', to: 'FU.L1', value: 0.5 },
]

test('what was complained of works: nothing more is read or looked at, and it is said so', () => {
  expect(answered('not-cooling', ...coolsWell)).toBe(true)
  const { asks, answered: words } = brief(unit, file('not-cooling', ...coolsWell))
  expect(asks.filter((ask) => ask.do === 'measure' || ask.do === 'look')).toEqual([])
  expect(words).toMatch(/^What was complained of works just now/)
})

test('while something gives a reason it is gone on with', () => {
  const still = works.map((entry) =>
    entry.kind === 'observation' && entry.of === 'C1' ? seen('C1', 'still') : entry,
  )
  const { model, findings, belief, next } = diagnose(unit, { complaint: 'not-cooling', entries: still })
  expect(isAnswered(model, findings, belief)).toBe(false)
  expect(next.length).toBeGreaterThan(0)
})

test.each(['water', 'comes-and-goes', 'breaker-goes', ''])(
  '“%s” is no complaint that a call which runs answers',
  (complaint) => {
    expect(answered(complaint, ...coolsWell)).toBe(false)
  },
)
