import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { diagnose } from './diagnose'
import { provenBefore, searchedStrip } from './provenStops'
import { stripsOf, type Strip } from './strip'

const diagram = builtInUnit('rooftop-two-stage')
const stripsAfter = (...readings: readonly [from: string, value: number][]) =>
  stripsOf(
    diagnose(diagram, {
      complaint: 'not-cooling',
      entries: [
        { kind: 'call', call: 'cool2' },
        ...readings.map(([from, value]): EntryBody => ({
          kind: 'reading',
          meter: 'volts',
          from,
          to: 'TB.C',
          value,
          typed: String(value),
        })),
      ],
    }),
  )

const firstStage = (strips: readonly Strip[]): Strip => {
  const found = strips.find(({ words }) => words === 'First-stage cooling')
  if (!found) throw new Error('no path of the first stage')
  return found
}

test('what is proven live from the source on is folded, up to the last live stop before the search', () => {
  const { stops } = firstStage(stripsAfter(['LPS1.1', 25.2], ['LPS1.2', 0]))
  const folded = provenBefore(stops, [])
  expect(stops.slice(0, folded).every(({ state }) => state === 'live')).toBe(true)
  expect(stops[folded]).toMatchObject({ point: 'LPS1.1', state: 'live' })
  // where a lead is to go stays in view
  expect(provenBefore(stops, [stops[4].point])).toBe(4)
  expect(provenBefore(stops, [stops[1].point])).toBe(0)
})

test('what was read last stays in view, though what follows is live too', () => {
  const { stops } = firstStage(stripsAfter(['TB.Y1', 25.2], ['LPS1.1', 25.2], ['LPS1.2', 0]))
  expect(stops[provenBefore(stops, [])].point).toBe('LPS1.1')
  const earlier = stops.map((stop) => (stop.point === 'LPS1.1' ? { ...stop, measured: null } : stop))
  expect(stops[provenBefore(earlier, [])].point).toBe('TB.Y1')
})

test('a stop that reads what it should not is never folded, and nothing is before anything was read', () => {
  expect(provenBefore(firstStage(stripsAfter()).stops, [])).toBe(0)
  const { stops } = firstStage(stripsAfter(['TB.R', 18.4], ['LPS1.1', 18.2]))
  const odd = stops.findIndex(({ contradicted }) => contradicted)
  expect(odd).toBeGreaterThanOrEqual(0)
  expect(provenBefore(stops, [])).toBeLessThanOrEqual(odd)
})

test('of two stages the one that the search is on stands open', () => {
  const opened = (strips: readonly Strip[], lead = ''): string => strips[searchedStrip(strips, lead)].words
  // the first is live to its end, the second is not known
  expect(opened(stripsAfter(['CC1.A1', 25], ['LPS2.1', 25]))).toBe('Second-stage cooling')
  expect(opened(stripsAfter(['CC2.A1', 25], ['LPS1.1', 25]))).toBe('First-stage cooling')
  expect(opened(stripsAfter(['LPS1.1', 25], ['LPS1.2', 0]))).toBe('First-stage cooling')
  expect(opened(stripsAfter(), 'CC1.A1')).toBe('First-stage cooling')
  expect(searchedStrip([], '')).toBe(0)
})
