import fc from 'fast-check'
import { liveCandidates } from './candidates'
import { judge } from './diagnose'
import { foundWithin, valueWithin } from './withinRange'
import { faultsOf } from '../diagram/faults'
import { builtInUnit, builtInUnitIds } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { atArrival } from '../visit/standing'
import { everythingUnlike } from '../world/siteUnit'
import { seeded } from '../world/random'
import { World } from '../world/world'

const even = { ...everythingUnlike, supply: false, plates: false, weather: false, readings: false }
const share = fc.double({ min: 0, max: 1, noNaN: true })
const falling = fc
  .tuple(share, share)
  .map(([a, b]) => [20 + 10 * a, 8 + 8 * b, 1] as const)
  .filter(([a, b, c]) => a - b > 4 && b - c > 4)

const lerp = (values: readonly number[], at: number): number => {
  const from = Math.min(1, Math.floor(at))
  return values[from] + (at - from) * (values[from + 1] - values[from])
}

test('a reading within a range finds the place that gives it, and foretells it of the same points', () => {
  fc.assert(
    fc.property(falling, share, (values, where) => {
      const read = lerp(values, 2 * where)
      const found = foundWithin(values, read, 0.3, null)
      expect(found?.at).toBeCloseTo(2 * where, 6)
      // a place that is half a millionth off is off by so many times the step between two of the values
      if (found) expect(valueWithin(values, found).value).toBeCloseTo(read, 4)
    }),
  )
})

test('a second reading of the same place makes it surer, one of another place moves it there', () => {
  const values = [24, 12, 1]
  const first = foundWithin(values, 18, 0.4, null)
  const second = foundWithin(values, 18.2, 0.4, first)
  expect(second?.variance).toBeLessThan(first?.variance ?? 0)
  expect(lerp(values, second?.at ?? 0)).toBeGreaterThan(18)
  expect(lerp(values, second?.at ?? 0)).toBeLessThan(18.2)
  expect(foundWithin(values, 4, 0.4, second)?.at).toBeCloseTo(1 + 8 / 11)
})

test('nothing is found where all versions read alike, or two places alike', () => {
  expect(foundWithin([24, 23.9, 24.1], 24, 0.4, null)).toBeNull()
  expect(foundWithin([24, 2, 24], 12, 0.4, null)).toBeNull()
  // the place that was known says which of the two it is
  const known = { at: 0.4, variance: 0.01, bend: 0 }
  expect(foundWithin([24, 2, 24], 12, 0.4, known)?.at).toBeLessThan(1)
})

const units = ['split-heat-pump', 'fan-coil-cooling']

test.each(units)('%s: low volts at one place after another are a transformer, not a lead on metal', (id) => {
  const diagram = builtInUnit(id)
  const low = new Map([['XF', { secondary: 12 }]])
  const world = new World(diagram, { faults: [], substitutes: low }, even, seeded(7))
  const { call } = diagram.calls.find((one) => one.id === 'fan') ? { call: 'fan' } : { call: 'cool1' }
  const standing = atArrival(diagram, call)
  const read = (meter: 'volts' | 'amps', from: string, to: string): EntryBody => {
    const value = world.measure(standing, meter, from, to)
    return { kind: 'reading', meter, from, to, value: value === null ? null : Number(value.toFixed(1)) }
  }
  const wires = [...diagram.wires.values()]
  const common = wires.find(({ from, to }) => [from, to].includes('XF.S2'))
  const tap = wires.flatMap(({ from, to }) => [from, to]).find((point) => point.startsWith('XF.P')) ?? ''
  const entries = [
    { kind: 'call', call } as const,
    read('volts', diagram.hot ?? '', diagram.common),
    read('volts', 'FU.T1', diagram.common),
    read('volts', 'XF.S1', 'XF.S2'),
    read('volts', 'XF.COM', tap),
    read('amps', common?.from ?? '', common?.to ?? ''),
  ]
  const { belief, model, ranked } = judge(diagram, { complaint: '', entries })
  expect(model.hypotheses[ranked[0]].of).toEqual(['XF'])
  const turns = model.hypotheses.findIndex((one) => one.id === 'XF:secondary-turns-short')
  const cost = belief.weight.map((row) => row[turns])
  // the first low reading says how low it is; the others then say nothing new
  expect(cost[2]).toBeGreaterThan(cost[0] + 1)
})

test('an ohmmeter has too few volts to tell where a chafe lies that breaks down at those of the line', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const chafe = faultsOf(diagram).find(({ breaksDown }) => breaksDown)
  if (!chafe) throw new Error('line wires chafe')
  const [end] = chafe.effects.flatMap((effect) => (effect.does === 'join' ? [effect.from] : []))
  const whereAfter = (...entries: readonly EntryBody[]) => {
    const { belief, model } = judge(diagram, { complaint: '', entries })
    return belief.where[model.hypotheses.findIndex(({ id }) => id === chafe.id)]
  }
  const ohms: EntryBody = { kind: 'reading', meter: 'ohms', from: end, to: 'EARTH', value: 40_000 }
  expect(whereAfter({ kind: 'power', is: 'isolated' }, ohms)).toBeNull()
})

test('a clamp on the leads of a transformer is among the readings of every unit that has one', () => {
  for (const id of builtInUnitIds) {
    const diagram = builtInUnit(id)
    const transformers = [...diagram.parts.values()].filter(({ kind }) => kind.fullLoadAmps)
    const clamped = liveCandidates(diagram).filter(({ meter }) => meter === 'amps')
    for (const { id: part } of transformers)
      expect(clamped.filter(({ from, to }) => [from, to].includes(`${part}.S2`))).not.toEqual([])
  }
})
