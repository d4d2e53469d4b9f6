import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { diagnose } from './diagnose'
import { focusOf, provenBefore, searchedStrip } from './provenStops'
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

test('what lies before the last live reading is folded, and the search is brought into view', () => {
  const strips = stripsAfter(['LPS1.1', 25.2], ['LPS1.2', 0])
  const { stops } = firstStage(strips)
  expect(stops[provenBefore(stops, [])]).toMatchObject({ point: 'LPS1.1', state: 'live' })
  expect(focusOf(strips, '')).toBe('LPS1.2')
  expect(focusOf(strips, 'CC1.A1')).toBe('CC1.A1')
  // where a lead is to go stays in view
  expect(provenBefore(stops, [stops[4].point])).toBe(4)
  expect(provenBefore(stops, [stops[1].point])).toBe(0)
})

test('with nothing read live the stops that must be live are folded but for the last', () => {
  const stops = firstStage(stripsAfter(['LPS1.1', 25.2], ['LPS1.2', 0])).stops
  const unread = stops.map((stop) => (stop.point === 'LPS1.1' ? { ...stop, measured: null } : stop))
  const folded = provenBefore(unread, [])
  expect(unread.slice(0, folded + 1).every(({ state }) => state === 'live')).toBe(true)
  expect(unread[folded + 1].state).not.toBe('live')
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
