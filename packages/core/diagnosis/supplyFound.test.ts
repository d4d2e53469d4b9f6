import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { judge } from './diagnose'

const rooftop = builtInUnit('rooftop-two-stage')
const toGround = (a: number, b: number, c: number): readonly EntryBody[] =>
  [a, b, c].map((value, k) => volts(`LB.L${k + 1}`, value, 'EARTH'))
const between: readonly EntryBody[] = [
  volts('LB.L1', 241, 'LB.L2'),
  volts('LB.L2', 239, 'LB.L3'),
  volts('LB.L3', 240, 'LB.L1'),
]
const found = (...entries: readonly EntryBody[]) => {
  const { model, belief, ranked } = judge(rooftop, {
    complaint: 'not-cooling',
    entries: [{ kind: 'call', call: 'cool1' }, ...entries],
  })
  // a filter that nobody has looked at is no fault of the supply
  const isInAir = (part: string): boolean => model.diagram.parts.get(part)?.kind.passesAir ?? false
  const most = ranked
    .filter((h) => model.hypotheses[h].of.length > 0 && !model.hypotheses[h].of.some(isInAir))
    .reduce((best, h) => Math.max(best, belief.probability[h]), 0)
  return { system: model.diagram.parts.get('SV')?.settings.text('system'), most }
}

test.each([
  [139, 138, 140, '240 delta'],
  [240, 0, 241, '240 delta, L2 grounded'],
  [239, 240, 0.4, '240 delta, L3 grounded'],
  [120, 208, 121, '240 high leg'],
])('240 V leg to leg with %s, %s and %s V to ground is %s, and nothing is wrong', (a, b, c, system) => {
  const said = found(...between, ...toGround(a, b, c))
  expect(said.system).toBe(system)
  expect(said.most).toBeLessThan(0.2)
})

test('a leg with nothing to ground is lost until all three have read their volts to each other', () => {
  expect(found(...between.slice(0, 2), ...toGround(240, 0, 241)).system).not.toMatch(/grounded/)
  const lost = [volts('LB.L1', 20, 'LB.L2'), volts('LB.L2', 18, 'LB.L3'), volts('LB.L3', 208, 'LB.L1')]
  expect(found(...lost, ...toGround(120, 0, 120)).system).toBe('208Y/120')
})

test('a monitor is set for the supply of its unit: no suspect for letting control power through', () => {
  const control = [volts('TB.R', 30), volts('XF.S1', 30.4, 'XF.S2')]
  const { model, belief } = judge(rooftop, {
    complaint: 'not-cooling',
    entries: [{ kind: 'call', call: 'cool1' }, ...between, ...control],
  })
  const ofMonitor = model.hypotheses.reduce(
    (sum, { of }, h) => (of.includes('PM') ? sum + belief.probability[h] : sum),
    0,
  )
  expect(model.diagram.parts.get('PM')?.settings.number('volts')).toBe(240)
  expect(ofMonitor).toBeLessThan(0.05)
})
