import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { diagnose, judge } from './diagnose'

test.each([
  ['package-heat-pump', 'BR2'],
  ['rooftop-two-stage', 'BR'],
])(
  '%s: behind a breaker that has tripped what it feeds is read dead first, whatever else is quicker',
  (id, of) => {
    const { next } = diagnose(builtInUnit(id), {
      complaint: 'no-heat',
      entries: [{ kind: 'observation', of, what: 'tripped' }],
    })
    expect(next[0]).toMatchObject({ do: 'measure', meter: 'ohms', power: 'off' })
  },
)

test('a breaker that went with a link is open from the look on, until it is reset', () => {
  const tripped: EntryBody = { kind: 'observation', of: 'BR2', what: 'tripped' }
  const reset: EntryBody = { kind: 'action', do: 'reset', of: 'BR2' }
  const behind = (value: number): EntryBody => volts('HC1.L1', value, 'HC1.L2')
  const grounded = (...entries: readonly EntryBody[]): number => {
    const { model, belief } = judge(builtInUnit('package-heat-pump'), {
      complaint: 'no-heat',
      entries: [{ kind: 'call', call: 'heat2' }, ...entries],
    })
    return belief.probability[model.hypotheses.findIndex((each) => each.id === 'HE1:1-grounded')]
  }
  const before = grounded(tripped)
  expect(grounded(tripped, behind(0))).toBeGreaterThan(before / 2)
  expect(grounded(tripped, reset, behind(0))).toBeLessThan(before / 2)
})
