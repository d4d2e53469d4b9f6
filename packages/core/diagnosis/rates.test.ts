import { faultsOf } from '../diagram/faults'
import { readLadder } from '../diagram/readLadder'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import { groupOf, sharesOf } from './rates'

const shares = (text: string): ReadonlyMap<string, number> => {
  const diagram = readLadder(text)
  const faults = faultsOf(diagram)
  const given = sharesOf(diagram, faults)
  return new Map(faults.map(({ id }, k) => [id, given[k]]))
}

test.each(builtInUnitIds)('%s: shares of all causes sum to one, and none is nothing', (id) => {
  const diagram = builtInUnit(id)
  const given = sharesOf(diagram, faultsOf(diagram))
  expect(given.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
  expect(Math.min(...given)).toBeGreaterThan(0)
})

test('a splice more in a wire changes no other suspect’s share', () => {
  const text = builtInUnitText('rooftop-two-stage')
  const spliced = text
    .replace('LPS1.2 -yellow 83- HPS1.1', 'LPS1.2 -yellow 83- SP.1 -yellow 83- HPS1.1')
    .replace('part LPS1 ', 'part SP terminal-board "Splice" in condenser : terminals "1"\npart LPS1 ')
  const before = shares(text)
  const after = shares(spliced)
  const others = [...before].filter(([id]) => !id.startsWith('LPS1.2-HPS1.1'))
  for (const [id, share] of others) expect([id, after.get(id)]).toEqual([id, expect.closeTo(share, 9)])
  const split = (after.get('LPS1.2-SP.1:open') ?? 0) + (after.get('SP.1-HPS1.1:open') ?? 0)
  expect(split).toBeCloseTo(before.get('LPS1.2-HPS1.1:open') ?? 0, 9)
})

test.each(['fan-coil-two-pipe', 'split-heat-pump', 'rooftop-480', 'unit-heater'])(
  '%s: of the control fuses that open, as many as on any other have nothing left that opened them',
  (id) => {
    const diagram = builtInUnit(id)
    const faults = faultsOf(diagram)
    const given = sharesOf(diagram, faults)
    const sum = (isOne: (k: number) => boolean): number =>
      given.reduce((total, share, k) => (isOne(k) ? total + share : total), 0)
    const isShort = (k: number): boolean => groupOf(diagram, faults[k]) === 'short'
    expect(sum((k) => isShort(k) && faults[k].class === 'blown') / sum(isShort)).toBeCloseTo(0.12, 9)
  },
)

test('what the trade meets most is thought of most', () => {
  const whole = (id: string, group: string): number => {
    const diagram = builtInUnit(id)
    const faults = faultsOf(diagram)
    const given = sharesOf(diagram, faults)
    return faults.reduce((sum, fault, k) => (groupOf(diagram, fault) === group ? sum + given[k] : sum), 0)
  }
  expect(whole('split-heat-pump', 'run-capacitor')).toBeGreaterThan(whole('split-heat-pump', 'wires'))
  expect(whole('fan-coil-cooling', 'drain')).toBeGreaterThan(0.15)
  expect(whole('air-handler-heat', 'heat-switching')).toBeGreaterThan(whole('air-handler-heat', 'short'))
})

test.each([
  ['rooftop-two-stage', 'phase'],
  ['split-heat-pump', 'disconnect'],
])('%s: a leg lost in the building is counted with %s', (id, group) => {
  const diagram = builtInUnit(id)
  const lost = faultsOf(diagram).find((fault) => fault.id === 'SV:L1-lost')
  expect(lost && groupOf(diagram, lost)).toBe(group)
})

test('a contact that makes a heater’s current welds more often than one that makes a coil’s', () => {
  const given = shares(builtInUnitText('split-heat-pump'))
  expect(given.get('SEQ:make2-welded')).toBeGreaterThan(2 * (given.get('SEQ:make1-welded') ?? 1))
})

test('a switch that proves the air of an electric heater is counted with its limits, not with gas', () => {
  for (const id of ['package-proving', 'air-handler-heat']) {
    const diagram = builtInUnit(id)
    const fault = faultsOf(diagram).find(({ of }) => of === 'APS')
    expect(fault && groupOf(diagram, fault)).toBe('limits')
  }
})

test.each(builtInUnitIds)(
  '%s: a thermostat’s outputs fail more seldom together than it is set up wrong',
  (id) => {
    const given = shares(builtInUnitText(id))
    const sum = (wanted: RegExp): number =>
      [...given].reduce((total, [fault, share]) => (wanted.test(fault) ? total + share : total), 0)
    const setUp = sum(/^TS:set-/)
    if (setUp > 0) expect(sum(/^TS:relay\w+-(open|stuck)$/)).toBeLessThan(setUp)
  },
)

test('a thermostat is set up for another kind of heat only on a unit that has any', () => {
  const setUp = (id: string): boolean => faultsOf(builtInUnit(id)).some((fault) => fault.id === 'TS:set-heat')
  expect(['fan-coil-cooling', 'fan-coil-hydronic', 'air-handler-heat'].map(setUp)).toEqual([
    false,
    true,
    true,
  ])
})

test.each([
  ['fan-coil-cooling', 'FU.T1-FLT.1'],
  ['rooftop-480', 'FU.T1-DR.1'],
])(
  '%s: a short between a transformer and its fuse is hardly met: the transformer burns first',
  (id, behind) => {
    const given = shares(builtInUnitText(id))
    const of = (wire: string): number => given.get(`${wire}:grounded`) ?? NaN
    expect(of('XF.S1-FU.L1')).toBeLessThan(0.1 * of(behind))
  },
)
