import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { astrayShare } from './astray'
import { judge } from './diagnose'

const unit = builtInUnit('split-heat-pump')
const cooling: EntryBody = { kind: 'call', call: 'cool1' }
const across = volts('CC1.T1', 0, 'CC1.T2')
const legs = [volts('CC1.T1', 121, 'EARTH'), volts('CC1.T2', 121, 'EARTH')]

const found = (...entries: readonly EntryBody[]) => judge(unit, { complaint: 'not-cooling', entries })
const shareOfLast = (...entries: readonly EntryBody[]): number => {
  const { evidence } = found(...entries).findings
  return astrayShare(evidence, evidence.length - 1)
}

test('leads that have just read something stay on while the unit is made to run otherwise', () => {
  const before = volts('TB.R', 26)
  expect(shareOfLast(cooling, before, { kind: 'call', call: 'heat2' }, volts('TB.R', 0))).toBeLessThan(0.5)
  // the same once more is not the unit made otherwise; another place, or nothing before, is no such thing
  expect(shareOfLast(cooling, before, volts('TB.R', 0))).toBe(1)
  expect(shareOfLast(cooling, volts('TB.Y1', 26), { kind: 'call', call: 'heat2' }, volts('TB.R', 0))).toBe(1)
  expect(shareOfLast(cooling, volts('TB.R', 0), { kind: 'call', call: 'heat2' }, volts('TB.R', 0))).toBe(1)
})

test('who sees a number change under the leads has not lost a digit of it', () => {
  const healthy = (...entries: readonly EntryBody[]): number =>
    found(cooling, ...entries).belief.weight.at(-1)?.[0] ?? 0
  const asSlip = healthy(volts('TB.R', 2))
  const seen = healthy(volts('TB.R', 26), { kind: 'call', call: 'heat2' }, volts('TB.R', 2))
  expect(seen).toBeLessThan(asSlip - 1)
})

test('whoever reads nothing between two points, and something at each, was there again', () => {
  const pulledIn: EntryBody = { kind: 'observation', what: 'pulled-in', of: 'CC1' }
  const pole = (...entries: readonly EntryBody[]): number => {
    const { model, belief } = found(cooling, pulledIn, volts('CC1.L1', 242, 'CC1.L2'), ...entries)
    return belief.probability[model.hypotheses.findIndex(({ id }) => id === 'CC1:pole2-open')]
  }
  expect(pole(across, ...legs)).toBeGreaterThan(pole(across))
  const { evidence } = found(cooling, across, ...legs).findings
  expect(astrayShare(evidence, 0)).toBeLessThan(1)
  expect(astrayShare(evidence.slice(0, 2), 0)).toBe(1)
})
