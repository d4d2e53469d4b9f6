import Papa from 'papaparse'
import { Circuit } from '@jokulgale/core/circuit/circuit'
import { situationOf } from '@jokulgale/core/circuit/situation'
import { leadsOf } from '@jokulgale/core/changes/leadChange'
import { leadsByNodes } from '@jokulgale/core/changes/leadsByNodes'
import { withLeads } from '@jokulgale/core/changes/withLeads'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { UnknownNameError } from '@jokulgale/core/diagram/nearest'
import { DiagramError, readLadder } from '@jokulgale/core/diagram/readLadder'
import { FamilyError, readFamily } from '@jokulgale/core/families/family'
import { CaseFileError, readCaseFile } from '@jokulgale/core/formats/caseFile'
import { dropOutsOf, MeterCsvError, readMeterCsv } from '@jokulgale/core/formats/meterCsv'
import { partsNetlist } from '@jokulgale/core/formats/partsNetlist'
import { CalendarError, readCalendar } from '@jokulgale/core/formats/readCalendar'
import { NetlistError, readPartsNetlist } from '@jokulgale/core/formats/readPartsNetlist'
import { readWireList, WireListError } from '@jokulgale/core/formats/readWireList'
import { wireListCsv } from '@jokulgale/core/formats/wireListCsv'
import { readingsCsv, ReadingsCsvError, readReadings } from '@jokulgale/core/formats/readingsCsv'
import { familyTexts } from '@jokulgale/core/generated/familyTexts'
import { listedUnits, mappingOf } from '@jokulgale/core/places/unitList'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '@jokulgale/core/units/index'
import { ForbiddenActionError } from '@jokulgale/core/visit/actions'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { EvidenceError, gather } from '@jokulgale/core/visit/evidence'
import { newDays } from '@jokulgale/core/visit/newDays'

/** A format that is read: files of it that are right, and what becomes of one. */
export interface Reader {
  readonly format: string
  readonly right: readonly string[]
  /** Uses the file as the product does. Throws only what `refuses` names. */
  readonly take: (text: string) => void
  readonly refuses: readonly (new (...args: never[]) => Error)[]
}

/** A drawing that was accepted is built and settled in its first call. */
function settle(diagram: Diagram): void {
  const [call] = diagram.calls
  new Circuit(diagram, situationOf(diagram, call.id))
}

const rooftop = builtInUnit('rooftop-two-stage')
const rooftopText = builtInUnitText('rooftop-two-stage')

const caseFile = JSON.stringify({
  unit: 'rooftop-two-stage',
  complaint: 'not-cooling',
  entries: [
    { kind: 'call', call: 'cool1' },
    { kind: 'condition', of: 'outdoorDryBulb', value: 88 },
    { kind: 'reading', meter: 'volts', from: 'LPS1.1', to: 'TB.C', value: 25.8 },
    { kind: 'observation', what: 'code', of: 'IC', words: '2 flashes' },
    { kind: 'power', is: 'isolated' },
    { kind: 'reading', meter: 'ohms', from: 'CC1.A1', to: 'CC1.A2', value: null },
    { kind: 'action', do: 'lift', of: 'CC1.A1' },
    { kind: 'repair', of: 'LPS1' },
  ],
})

const meterLog = [
  'seconds,LPS1.1,LPS1.2,CC1.A1',
  ...Array.from({ length: 40 }, (_, k) => `${k},25.8,${k % 7 === 3 ? 0 : 25.7},${k % 7 === 3 ? 0 : 25.6}`),
].join('\n')

const readings: readonly EntryBody[] = [
  { kind: 'call', call: 'cool2' },
  { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 25.6, typed: '25.6' },
  { kind: 'reading', meter: 'amps', from: 'LB.L1', to: 'CC1.L1', value: 15, typed: '15' },
  { kind: 'call', call: 'heat1' },
  { kind: 'reading', meter: 'ohms', from: 'CC1.A1', to: 'CC1.A2', value: null },
  { kind: 'reading', meter: 'dc', from: 'DA.S+', to: 'DA.S-', value: 10, typed: '10' },
]

const calendar = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:jokulgale',
  ...Array.from({ length: 20 }, (_, k) => [
    'BEGIN:VEVENT',
    `UID:${k}@jokulgale`,
    `SUMMARY:Take off: Test bridge\\, unit ${k}`,
    `DTSTART;VALUE=DATE:202612${10 + k}`,
    'DURATION:P1D',
    'BEGIN:VALARM',
    'ACTION:DISPLAY',
    'TRIGGER:-P1D',
    'END:VALARM',
    'END:VEVENT',
  ]).flat(),
  'END:VCALENDAR',
].join('\r\n')

const unitList = [
  'site;unit;address;type;serial;installed',
  ...Array.from({ length: 30 }, (_, k) => `Skerry House;RTU-${k};1 Quay;rooftop-480;S${k};201${k % 10}`),
].join('\n')

export const readers: readonly Reader[] = [
  {
    format: 'ladder text',
    right: builtInUnitIds.map(builtInUnitText),
    take: (text) => {
      settle(readLadder(text))
    },
    refuses: [DiagramError],
  },
  {
    format: 'family of units',
    right: Object.values(familyTexts),
    take: (text) => {
      const family = readFamily(text)
      for (const { values } of family.choices.slice(0, 1)) readLadder(family.ladderOf(values))
    },
    refuses: [FamilyError, DiagramError],
  },
  {
    format: 'case (JSON)',
    right: [caseFile],
    take: (text) => {
      gather(rooftop, readCaseFile(text))
    },
    refuses: [CaseFileError, EvidenceError, UnknownNameError, ForbiddenActionError],
  },
  {
    format: 'log of a meter (CSV)',
    right: [meterLog],
    take: (text) => {
      dropOutsOf(readMeterCsv(text, 'TB.C'))
    },
    refuses: [MeterCsvError],
  },
  {
    format: 'list of units (CSV)',
    right: [unitList],
    take: (text) => {
      const [heads = [], ...rows] = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data
      listedUnits(rows, mappingOf(heads), [{ id: 'rooftop-480', title: 'Large rooftop unit' }], '', 2099)
    },
    refuses: [],
  },
  {
    format: 'wire list (CSV)',
    right: [wireListCsv(rooftop)],
    take: (text) => {
      const edit = withLeads(rooftopText, leadsOf(readWireList(text, rooftop)))
      if (edit.is === 'text') settle(readLadder(edit.text))
    },
    refuses: [WireListError, DiagramError],
  },
  {
    format: 'netlist of parts (SPICE)',
    right: [partsNetlist(rooftop)],
    take: (text) => {
      const leads = leadsByNodes(rooftop, readPartsNetlist(text, rooftop))
      const edit = withLeads(rooftopText, leadsOf(leads))
      if (edit.is === 'text') settle(readLadder(edit.text))
    },
    refuses: [NetlistError, DiagramError],
  },
  {
    format: 'calendar (iCalendar)',
    right: [calendar],
    take: (text) => {
      newDays([{ id: '7', left: { expires: '2026-12-05' } }], readCalendar(text))
    },
    refuses: [CalendarError],
  },
  {
    format: 'list of readings (CSV)',
    right: [readingsCsv(readings)],
    take: (text) => {
      const entries = readReadings(text, rooftop, { call: 'cool1', isIsolated: true })
      gather(rooftop, { complaint: '', entries: [{ kind: 'power', is: 'isolated' }, ...entries] })
    },
    refuses: [ReadingsCsvError],
  },
]
