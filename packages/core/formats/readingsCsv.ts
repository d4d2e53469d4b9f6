import Papa from 'papaparse'
import { isDead, meters, unitOf, type Meter } from '../circuit/meters'
import type { Diagram } from '../diagram/diagram'
import { entryProblem } from '../visit/checkEntry'
import type { EntryBody } from '../visit/entry'
import { csvTable, rowNumber, type TableColumns, type TableRow } from './csvTable'

const columns = ['call', 'from', 'to', 'function', 'value'] as const
type Column = (typeof columns)[number]

/** A number as a display shows it, and no longer. */
const digits = /^-?\d{1,9}(\.\d{1,6})?$/

/** The readings of a visit in their order, one a row (RFC 4180); what is read to the common has it as its second point. */
export function readingsCsv(entries: readonly EntryBody[]): string {
  let now = ''
  const rows: Record<Column, string>[] = []
  for (const entry of entries) {
    if (entry.kind === 'call') now = entry.call
    if (entry.kind !== 'reading') continue
    const { meter, from, to = '', value, typed = '' } = entry
    rows.push({
      call: now,
      from,
      to,
      function: meter,
      value: value === null ? 'OL' : digits.test(typed) ? typed : String(value),
    })
  }
  return Papa.unparse({ fields: [...columns], data: rows }, { newline: '\r\n' })
}

/** A list of readings that cannot be used: row by row what is wrong, and what to do. */
export class ReadingsCsvError extends Error {
  constructor(problems: readonly string[]) {
    super(problems.join('\n'))
    this.name = 'ReadingsCsvError'
  }
}

const table: TableColumns<Column> = {
  calledBy: {
    call: ['call', 'mode'],
    from: ['from', 'point', 'red', 'terminal'],
    to: ['to', 'black', 'against'],
    function: ['function', 'meter', 'unit', 'range'],
    value: ['value', 'reading'],
  },
  needed: ['from', 'function', 'value'],
  mostRows: 2000,
}
const mostProblems = 20

/** What people write for a function: its name, or what the display shows behind the digits. */
const meterOf: ReadonlyMap<string, Meter> = new Map([
  ...meters.map((meter): [string, Meter] => [unitOf(meter).toLowerCase(), meter]),
  ...meters.map((meter): [string, Meter] => [meter, meter]),
  ['v', 'volts'],
  ['v ac', 'volts'],
])

/** How a visit stands when readings are brought into it. */
export interface ReadingsStanding {
  readonly call: string
  readonly isIsolated: boolean
}

/**
 * Readings that somebody has listed, as entries of a visit: a row that names another call than is set begins it. All of
 * them or none. Throws ReadingsCsvError.
 */
export function readReadings(
  text: string,
  diagram: Diagram,
  { call: callNow, isIsolated }: ReadingsStanding,
): readonly EntryBody[] {
  const rows = csvTable(text, table, (problem) => new ReadingsCsvError([problem]))
  const problems: string[] = []
  const entries: EntryBody[] = []
  let now = callNow
  rows.forEach((row, k) => {
    const call = row('call') || now
    if (call !== now) entries.push({ kind: 'call', call })
    now = call
    const reading = readingOf(row, diagram)
    const problem = typeof reading === 'string' ? reading : problemOf(diagram, reading, call, isIsolated)
    if (problem !== '') problems.push(`row ${rowNumber(k)}: ${problem}`)
    else if (typeof reading !== 'string') entries.push(reading)
  })
  if (problems.length > 0) throw new ReadingsCsvError(problems.slice(0, mostProblems))
  return entries
}

type ReadingEntry = Extract<EntryBody, { readonly kind: 'reading' }>

/** The reading of a row, or what is wrong with it. */
function readingOf(row: TableRow<Column>, { common }: Diagram): ReadingEntry | string {
  const written = row('function')
  const meter = meterOf.get(written.toLowerCase())
  if (meter === undefined)
    return `no function “${written}”: ${meters.map((each) => `${each} (${unitOf(each)})`).join(', ')}`
  const typed = row('value').replace(/^(-?\d+),(\d+)$/, '$1.$2')
  const isOutOfRange = typed.toUpperCase() === 'OL'
  if (!isOutOfRange && !digits.test(typed)) return `“${row('value')}” is not a number, and not OL`
  const to = row('to') || (meter === 'volts' || meter === 'loz' || meter === 'dc' ? common : '')
  return {
    kind: 'reading',
    meter,
    from: row('from'),
    ...(to === '' ? {} : { to }),
    value: isOutOfRange ? null : Number(typed),
    ...(isOutOfRange ? {} : { typed }),
  }
}

function problemOf(diagram: Diagram, reading: ReadingEntry, call: string, isIsolated: boolean): string {
  if (isDead(reading.meter) && !isIsolated)
    return `${reading.meter} are read with the unit isolated: isolate it in this visit first`
  if (!diagram.calls.some(({ id }) => id === call))
    return `call “${call}” is not on this unit: ${diagram.calls.map(({ id }) => id).join(', ')}`
  return entryProblem(diagram, reading)
}
