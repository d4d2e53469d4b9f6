import fc from 'fast-check'
import { DiagramError, readLadder } from '../diagram/readLadder'
import { FamilyError, readFamily } from '../families/family'
import { familyTexts } from '../generated/familyTexts'
import { builtInUnit, builtInUnitText } from '../units/index'
import { CaseFileError, readCaseFile } from './caseFile'
import { MeterCsvError, readMeterCsv } from './meterCsv'
import { partsNetlist } from './partsNetlist'
import { CalendarError, readCalendar } from './readCalendar'
import { NetlistError, readPartsNetlist } from './readPartsNetlist'
import { ReadingsCsvError, readReadings } from './readingsCsv'
import { readWireList, WireListError } from './readWireList'
import { wireListCsv } from './wireListCsv'

/** A text with a piece of it cut out, and something else in its place. */
const spoiled = (text: string) =>
  fc
    .tuple(
      fc.nat(text.length),
      fc.nat(200),
      fc.oneof(
        fc.constantFrom('', '"', '=', '-', '\n', ']', '{', '\u0000', '\r', '9'.repeat(300)),
        fc.string({ unit: 'binary', maxLength: 12 }),
      ),
    )
    .map(([at, length, put]) => text.slice(0, at) + put + text.slice(at + length))

const formats = [
  ['ladder text', builtInUnitText('fan-coil-cooling'), readLadder, DiagramError],
  ['family of units', familyTexts['air-handler'], readFamily, FamilyError],
  [
    'case',
    JSON.stringify({
      unit: 'fan-coil-cooling',
      complaint: 'water',
      entries: [{ kind: 'call', call: 'fan' }],
    }),
    readCaseFile,
    CaseFileError,
  ],
  [
    'log of a meter',
    'seconds,a,b\n0,25.8,25.7\n1,25.8,0\n2,25.8,0\n3,25.8,25.7\n',
    (text: string) => readMeterCsv(text, 'TB.C'),
    MeterCsvError,
  ],
  [
    'list of wires',
    wireListCsv(builtInUnit('fan-coil-cooling')),
    (text: string) => readWireList(text, builtInUnit('fan-coil-cooling')),
    WireListError,
  ],
  [
    'list of readings',
    'call,from,to,function,value\ncool1,TB.R,TB.C,volts,25.4\nfan,CC1.T1,C1.C,amps,0\n',
    (text: string) => readReadings(text, builtInUnit('fan-coil-cooling'), { call: 'off', isIsolated: false }),
    ReadingsCsvError,
  ],
  [
    'netlist of parts',
    partsNetlist(builtInUnit('fan-coil-cooling')),
    (text: string) => readPartsNetlist(text, builtInUnit('fan-coil-cooling')),
    NetlistError,
  ],
  [
    'calendar',
    'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:a\r\nDTSTART;VALUE=DATE:20261205\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
    readCalendar,
    CalendarError,
  ],
] as const

test.each(formats)(
  '%s: what is spoiled is read, or refused in words, and nothing else',
  (_, right, read, refusal) => {
    expect(() => read(right)).not.toThrow()
    fc.assert(
      fc.property(spoiled(right), (text) => {
        try {
          read(text)
        } catch (error) {
          expect(error).toBeInstanceOf(refusal)
          expect(error instanceof Error ? error.message : '').not.toBe('')
        }
      }),
      { numRuns: 120, seed: 480 },
    )
  },
)

test('a family is refused with the line and column where it stops making sense', () => {
  const [first, ...rest] = familyTexts['air-handler'].split('\n')
  expect(() => readFamily([first, 'option x "X" : 1 "one" 2', ...rest].join('\n'))).toThrow(
    /^line 2, column \d+: /,
  )
})
