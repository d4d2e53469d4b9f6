import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { judge } from './diagnose'

const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
const running: readonly EntryBody[] = [seen('FM', 'turning'), seen('C1', 'turning'), seen('IFM', 'turning')]

/** What the suspects of some parts are given together. */
function given(
  unit: string,
  complaint: string,
  call: string,
  parts: RegExp,
  ...looks: readonly EntryBody[]
): number {
  const { model, belief } = judge(builtInUnit(unit), {
    complaint,
    entries: [{ kind: 'call', call }, ...looks],
  })
  return model.hypotheses.reduce(
    (sum, { of }, h) => (of.some((part) => parts.test(part)) ? sum + belief.probability[h] : sum),
    0,
  )
}

test.each(['package-heat-pump', 'split-heat-pump'])(
  'on %s ice on an outdoor coil whose fan and compressor turn speaks for its defrost',
  (unit) => {
    const ofDefrost = (...looks: readonly EntryBody[]): number =>
      given(unit, 'cold-mornings', 'heat1', /^(DF|DFT|RV)\b/, ...running, ...looks)
    const iced = ofDefrost(seen('OC', 'iced'))
    expect(iced).toBeGreaterThan(2.5 * ofDefrost())
    // a charge that is low freezes it as well
    expect(iced).toBeGreaterThan(0.25)
  },
)

test('ice in cooling speaks for air and charge, and not for a compressor that stands', () => {
  const share = (parts: RegExp, ...looks: readonly EntryBody[]): number =>
    given('fan-coil-cooling', 'not-cooling', 'cool1', parts, ...looks)
  const iced = seen('RC1', 'iced')
  expect(share(/^(FILT|IFM|GR|RC1)$/, iced)).toBeGreaterThan(1.5 * share(/^(FILT|IFM|GR|RC1)$/))
  expect(share(/^(CC1|C1)$/, iced)).toBeLessThan(0.3 * share(/^(CC1|C1)$/))
})

test('ice that is seen again is no more ice', () => {
  const once = given('package-heat-pump', 'cold-mornings', 'heat1', /^RV$/, seen('OC', 'iced'))
  const twice = given(
    'package-heat-pump',
    'cold-mornings',
    'heat1',
    /^RV$/,
    seen('OC', 'iced'),
    seen('OC', 'iced'),
  )
  expect(twice / once).toBeCloseTo(1, 2)
})
