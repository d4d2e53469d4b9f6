import Papa from 'papaparse'
import type { Diagram } from '../diagram/diagram'
import { wireNumber, wireWord } from '../diagram/editLadder'
import { nearest } from '../diagram/nearest'

/** A wire as a list has it: both ends, and what is printed on it. */
export interface ListedWire {
  readonly from: string
  readonly to: string
  readonly color: string
  readonly number: string
}

/** A wire list that cannot be used: row by row what is wrong, and what to do. */
export class WireListError extends Error {
  constructor(problems: readonly string[]) {
    super(problems.join('\n'))
    this.name = 'WireListError'
  }
}

const columns = ['from', 'to', 'color', 'number'] as const
/** What people call these columns beside. */
const calledBy: Readonly<Record<(typeof columns)[number], readonly string[]>> = {
  from: ['from', 'from terminal', 'end 1', 'source'],
  to: ['to', 'to terminal', 'end 2', 'destination'],
  color: ['color', 'colour'],
  number: ['number', 'no', 'wire', 'label'],
}
const mostRows = 5000
const mostProblems = 20

/**
 * Reads a wire list (RFC 4180, a row of heads, a wire a row) of a unit whose parts are drawn: its ends must be
 * terminals of theirs. Throws WireListError.
 */
export function readWireList(text: string, diagram: Diagram): readonly ListedWire[] {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: true })
  const [unread] = errors.filter(({ type }) => type !== 'Delimiter')
  if (unread) throw new WireListError([`row ${(unread.row ?? 0) + 1}: ${unread.message}`])
  const [heads = [], ...rows] = data
  const places = placesOf(heads)
  if (rows.length === 0) throw new WireListError(['the list has heads and no wire'])
  if (rows.length > mostRows) throw new WireListError([`more than ${mostRows} wires: give one unit’s list`])
  const wires = rows.map((cells) => {
    const cell = (column: (typeof columns)[number]): string => (cells[places[column]] ?? '').trim()
    return { from: cell('from'), to: cell('to'), color: cell('color').toLowerCase(), number: cell('number') }
  })
  const problems = problemsOf(wires, diagram)
  if (problems.length > 0) throw new WireListError(problems.slice(0, mostProblems))
  return wires
}

function placesOf(heads: readonly string[]): Readonly<Record<(typeof columns)[number], number>> {
  const words = heads.map((head) => head.trim().toLowerCase())
  const place = (column: (typeof columns)[number]): number =>
    words.findIndex((word) => calledBy[column].includes(word))
  const missing = columns.filter((column) => place(column) < 0)
  if (missing.length > 0)
    throw new WireListError([
      `row 1: no column ${missing.join(', ')}; a list has the columns ${columns.join(', ')}`,
    ])
  return { from: place('from'), to: place('to'), color: place('color'), number: place('number') }
}

/** What is wrong, row by row; the first wire stands in the second row. */
function problemsOf(wires: readonly ListedWire[], { points }: Diagram): readonly string[] {
  const seen = new Map<string, number>()
  const unknown = (point: string): string =>
    `there is no terminal ${point || '(none)'}; nearest: ${nearest(point, points.keys()).join(', ')}`
  return wires.flatMap(({ from, to, color, number }, k) => {
    const row = k + 2
    const ends = [from, to].sort().join(' ')
    const twin = seen.get(ends)
    seen.set(ends, row)
    return [
      ...[from, to].filter((point) => !points.has(point)).map(unknown),
      ...(from === to ? [`a wire needs two different ends, not ${from} twice`] : []),
      ...(twin === undefined ? [] : [`${from} and ${to} are joined in row ${twin} already`]),
      ...(wireWord.test(color) ? [] : ['write the colour as one word: yellow']),
      ...(wireNumber.test(number) ? [] : ['write the number in letters and digits: 83']),
    ].map((problem) => `row ${row}: ${problem}`)
  })
}
