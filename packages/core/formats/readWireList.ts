import type { Diagram } from '../diagram/diagram'
import { wireNumber, wireWord } from '../diagram/editLadder'
import { nearest } from '../diagram/nearest'
import { csvTable, rowNumber, type TableColumns } from './csvTable'

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

const columns: TableColumns<keyof ListedWire> = {
  calledBy: {
    from: ['from', 'from terminal', 'end 1', 'source'],
    to: ['to', 'to terminal', 'end 2', 'destination'],
    color: ['color', 'colour'],
    number: ['number', 'no', 'wire', 'label'],
  },
  needed: ['from', 'to', 'color', 'number'],
  mostRows: 5000,
}
const mostProblems = 20

/** Reads a wire list of a unit whose parts are drawn: its ends must be terminals of theirs. Throws WireListError. */
export function readWireList(text: string, diagram: Diagram): readonly ListedWire[] {
  const rows = csvTable(text, columns, (problem) => new WireListError([problem]))
  const wires = rows.map((cell) => ({
    from: cell('from'),
    to: cell('to'),
    color: cell('color').toLowerCase(),
    number: cell('number'),
  }))
  const problems = problemsOf(wires, diagram)
  if (problems.length > 0) throw new WireListError(problems.slice(0, mostProblems))
  return wires
}

/** What is wrong, row by row. */
function problemsOf(wires: readonly ListedWire[], { points }: Diagram): readonly string[] {
  const seen = new Map<string, number>()
  const unknown = (point: string): string =>
    `there is no terminal ${point || '(none)'}; nearest: ${nearest(point, points.keys()).join(', ')}`
  return wires.flatMap(({ from, to, color, number }, k) => {
    const row = rowNumber(k)
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
