import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { readingsCsv, ReadingsCsvError, readReadings } from './readingsCsv'

const unit = builtInUnit('fan-coil-cooling')
const isolated = { call: 'cool1', isIsolated: true }
const running = { call: 'cool1', isIsolated: false }

const taken: readonly EntryBody[] = [
  { kind: 'call', call: 'cool1' },
  { kind: 'reading', meter: 'volts', from: 'TB.Y1', to: 'TB.C', value: 25.4, typed: '25.4' },
  { kind: 'reading', meter: 'amps', from: 'CC1.T1', to: 'C1.C', value: 8, typed: '8.0' },
  { kind: 'call', call: 'fan' },
  { kind: 'reading', meter: 'ohms', from: 'CC1.A1', to: 'CC1.A2', value: null },
]

test('what is written out is read in as the same readings, in the same calls and digits', () => {
  const again = readReadings(readingsCsv(taken), unit, { call: '', isIsolated: true })
  expect(again).toEqual(taken)
})

test('a value typed in thousands is written out whole', () => {
  const thousands: EntryBody = {
    kind: 'reading',
    meter: 'ohms',
    from: 'CC1.A1',
    to: 'CC1.A2',
    value: 1500,
    typed: '1.5 k',
  }
  expect(readReadings(readingsCsv([thousands]), unit, isolated)).toEqual([{ ...thousands, typed: '1500' }])
})

test('a list as somebody keeps it: other heads, signs for functions, commas in numbers, common left out', () => {
  const list = '\uFEFFPoint;Unit;Reading\r\nTB.Y1;V;25,4\r\nTB.R;V AC;26\r\nCC1.A1;V DC;0\r\n'
  expect(readReadings(list, unit, running)).toEqual([
    { kind: 'reading', meter: 'volts', from: 'TB.Y1', to: 'TB.C', value: 25.4, typed: '25.4' },
    { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 26, typed: '26' },
    { kind: 'reading', meter: 'dc', from: 'CC1.A1', to: 'TB.C', value: 0, typed: '0' },
  ])
})

test('a call that is set already is not begun anew', () => {
  const list = 'call,from,function,value\ncool1,TB.Y1,volts,25\nfan,TB.G,volts,25\nfan,TB.R,volts,25'
  expect(readReadings(list, unit, running).filter(({ kind }) => kind === 'call')).toEqual([
    { kind: 'call', call: 'fan' },
  ])
})

test.each([
  ['no values', 'from,function\nTB.R,volts', /^row 1: no column value/],
  [
    'an unknown function',
    'from,function,value\nTB.R,henries,3',
    /^row 2: no function “henries”: volts \(V\)/,
  ],
  ['a point that is not there', 'from,function,value\nTB.R,V,25\nTB.Q,V,25', /^row 3: .*TB\.Q/],
  ['a word for a value', 'from,function,value\nTB.R,V,high', /^row 2: “high” is not a number, and not OL/],
  ['a number that no display shows', 'from,function,value\nTB.R,V,1e3', /^row 2: “1e3” is not a number/],
  ['volts out of range', 'from,function,value\nTB.R,V,OL', /^row 2: .*OL is for the ohms range/],
  ['amps below nothing', 'from,to,function,value\nCC1.T1,C1.C,A,-3', /^row 2: .*zero or more/],
  [
    'a call of another unit',
    'call,from,function,value\ncool2,TB.R,V,25',
    /^row 2: call “cool2” is not on this unit/,
  ],
])('%s: refused with the row and what to do, and no reading is taken', (_, list, words) => {
  expect(() => readReadings(list, unit, running)).toThrow(ReadingsCsvError)
  expect(() => readReadings(list, unit, running)).toThrow(words)
})

test('ohms are taken of an isolated unit alone', () => {
  const list = 'from,to,function,value\nCC1.A1,CC1.A2,ohms,14'
  expect(readReadings(list, unit, isolated)).toHaveLength(1)
  expect(() => readReadings(list, unit, running)).toThrow(/^row 2: ohms are read with the unit isolated/)
})
