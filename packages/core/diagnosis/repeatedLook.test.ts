import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { diagnose, judge, type Judgement } from './diagnose'

const inCool: EntryBody = { kind: 'call', call: 'cool2' }
const inFan: EntryBody = { kind: 'call', call: 'fan' }
const look = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
const after = (...entries: readonly EntryBody[]): Judgement =>
  judge(builtInUnit('package-proving'), { complaint: 'not-cooling', entries })
const share = ({ model, belief }: Judgement, id: string): number =>
  belief.probability[model.hypotheses.findIndex((each) => each.id === id)]

test('a clean filter that is looked at three times is no cleaner, in the same call or in another', () => {
  const clean = look('FILT', 'clean')
  const once = share(after(inCool, clean), 'FILT:blocked')
  expect(once).toBeGreaterThan(0)
  expect(share(after(inCool, clean, clean), 'FILT:blocked') / once).toBeCloseTo(1, 1)
  expect(share(after(inCool, clean, inFan, clean, clean), 'FILT:blocked') / once).toBeCloseTo(1, 1)
})

test('a contactor that stays out where it should come in is news, and out a second time is not', () => {
  const out = look('CC2', 'dropped-out')
  const rest = share(after(inFan, out), 'CC2:coil-open')
  const called = share(after(inFan, out, inCool, out), 'CC2:coil-open')
  expect(called).toBeGreaterThan(2 * rest)
  expect(share(after(inFan, out, inCool, out, out), 'CC2:coil-open') / called).toBeCloseTo(1, 1)
})

test('what was cleaned is looked at anew', () => {
  const blocked = look('FILT', 'blocked')
  const cleaned: EntryBody = { kind: 'repair', of: 'FILT:blocked', words: 'filter renewed' }
  const { weight } = after(inCool, blocked, cleaned, look('FILT', 'clean')).belief
  expect(weight.at(-1)?.some((each) => Number.isFinite(each) && each < -0.01)).toBe(true)
})

const someUnits = ['air-handler-heat', 'fan-coil-two-pipe', 'package-proving', 'split-heat-pump']

test.each(someUnits)('on %s what was looked at and cannot have changed is not asked for again', (unit) => {
  const diagram = builtInUnit(unit)
  const still = [...diagram.parts.values()].filter(({ kind }) => kind.firstLook && !kind.overcurrent)
  const looked = still.map(({ id, kind }): EntryBody => look(id, kind.firstLook?.right ?? ''))
  const complaint = diagram.complaints[0].id
  const { steps } = diagnose(diagram, { complaint, entries: looked }, { sorts: ['look'] })
  const asked = new Set(steps.flatMap((step) => (step.do === 'look' ? [step.of] : [])))
  expect(still.filter(({ id }) => asked.has(id)).map(({ id }) => id)).toEqual([])
})
