import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { judge } from './diagnose'

const replaced = (of: string): EntryBody => ({ kind: 'replaced', of })

/** Odds of a suspect against the contact of another relay, which nobody has touched. */
function oddsOf(id: string, ...entries: readonly EntryBody[]): number {
  const { model, belief } = judge(builtInUnit('split-heat-pump'), { complaint: 'not-cooling', entries })
  const of = (wanted: string): number =>
    belief.probability[model.hypotheses.findIndex((each) => each.id === wanted)]
  return of(id) / of('RV:coil-open')
}

test('leads at a part that was replaced lately, and those under the same screws, may be loose', () => {
  const own = oddsOf('LOC.2-CC1.A1:open', replaced('CC1')) / oddsOf('LOC.2-CC1.A1:open')
  const beside = oddsOf('OB.L2-CC1.L2:open', replaced('CH')) / oddsOf('OB.L2-CC1.L2:open')
  const elsewhere = oddsOf('TS.G-TB.G:open', replaced('CC1')) / oddsOf('TS.G-TB.G:open')
  expect(own).toBeGreaterThan(2)
  expect(beside).toBeGreaterThan(2)
  expect(elsewhere).toBeCloseTo(1, 6)
})

test('the new part itself is less likely to be the bad one', () => {
  expect(oddsOf('CC1:coil-open', replaced('CC1'))).toBeLessThan(0.5 * oddsOf('CC1:coil-open'))
})
