import { builtInUnit } from '../units/index'
import type { EntryBody } from './entry'
import type { Entry } from './log'
import { unitHistory } from './unitHistory'

const rooftop = builtInUnit('rooftop-two-stage')
let counter = 0
const entry = (visit: string, day: string, body: EntryBody): Entry => ({
  id: `${counter++}`,
  visit,
  by: 'p',
  clock: { wall: Date.parse(day), counter, device: 'a' },
  body,
})
const proof = (value: number, expected?: number): EntryBody => ({
  kind: 'proof',
  call: 'cool1',
  words: '',
  passed: true,
  values: [
    { what: 'Compressor 1, leg 1', value, unit: 'A', ...(expected === undefined ? {} : { expected }) },
  ],
})
const volts = (value: number, from = 'TB.R', to = 'TB.C'): EntryBody => ({
  kind: 'reading',
  meter: 'volts',
  from,
  to,
  value,
})

test('what was proven on several visits is a series in its order, whatever order the log came in', () => {
  const log = [
    entry('c', '2026-03-01', proof(17.9, 15.8)),
    entry('a', '2024-03-01', proof(15.2, 15.8)),
    entry('b', '2025-03-01', proof(16.1)),
  ]
  const { series } = unitHistory(log, rooftop)
  expect(series).toHaveLength(1)
  expect(series[0]).toMatchObject({ what: 'Cooling, first stage: Compressor 1, leg 1', unit: 'A' })
  expect(series[0].points.map(({ value, expected }) => [value, expected])).toEqual([
    [15.2, 15.8],
    [16.1, null],
    [17.9, 15.8],
  ])
})

test('control power is taken as it was first found on each visit, whichever lead was where', () => {
  const log = [
    entry('a', '2025-03-01', volts(26.1)),
    entry('a', '2025-03-01', volts(25.2)),
    entry('b', '2026-03-01', volts(23.8, 'TB.C', 'TB.R')),
    entry('b', '2026-03-01', volts(12, 'LPS1.1')),
  ]
  const [power] = unitHistory(log, rooftop).series
  expect(power.what).toBe('Control power as found')
  expect(power.points.map(({ value }) => value)).toEqual([26.1, 23.8])
})

test('one value is no history; a value taken back is none', () => {
  const wrong = entry('b', '2026-01-01', proof(160))
  const log = [entry('a', '2025-01-01', proof(15)), wrong]
  expect(unitHistory(log.slice(0, 1), rooftop).series).toEqual([])
  const back = entry('b', '2026-01-02', { kind: 'retracted', entry: wrong.id })
  expect(unitHistory([...log, back], rooftop).series).toEqual([])
})

test('what was replaced is listed with its day', () => {
  const used = entry('a', '2025-01-01', {
    kind: 'part-used',
    of: 'CC1',
    words: 'Three poles, 24 V',
    rating: {},
  })
  expect(unitHistory([used], rooftop).replacements).toEqual([
    { wallMs: Date.parse('2025-01-01'), of: 'CC1', words: 'Three poles, 24 V' },
  ])
})
