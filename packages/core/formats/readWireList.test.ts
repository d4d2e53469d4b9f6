import fc from 'fast-check'
import { leadList, leadsOf } from '../changes/leadChange'
import { withLeads } from '../changes/withLeads'
import { readLadder } from '../diagram/readLadder'
import { builtInUnitIds, builtInUnitText } from '../units/index'
import { readWireList, WireListError, type ListedWire } from './readWireList'
import { wireListCsv } from './wireListCsv'

/** The circuit after its list was read in; the words of what was refused otherwise. */
function broughtIn(text: string, csv: string): string {
  const edit = withLeads(text, leadsOf(readWireList(csv, readLadder(text))))
  return edit.is === 'text' ? edit.text : `refused: ${edit.message}`
}

test.each(builtInUnitIds)('%s: its own list changes nothing', (id) => {
  const text = builtInUnitText(id)
  expect(broughtIn(text, wireListCsv(readLadder(text)))).toBe(text)
})

const text = builtInUnitText('fan-coil-cooling')
const diagram = readLadder(text)
const wires = [...diagram.wires.values()]

test('a circuit becomes what a list of it says, whichever leads were moved, marked anew or taken out in it', () => {
  const points = [...diagram.points.keys()].filter((point) => wires.some(({ from }) => from === point))
  const change = fc.record({
    at: fc.nat(wires.length - 1),
    what: fc.constantFrom('moved', 'marked', 'out'),
    onto: fc.constantFrom(...points),
  })
  fc.assert(
    fc.property(fc.array(change, { minLength: 1, maxLength: 5 }), (changes) => {
      const listed = wires.flatMap((wire, k): readonly ListedWire[] => {
        const own = changes.find(({ at }) => at === k)
        if (!own) return [wire]
        if (own.what === 'out') return []
        return [own.what === 'marked' ? { ...wire, number: `${wire.number}X` } : { ...wire, to: own.onto }]
      })
      const csv = [
        'from,to,color,number',
        ...listed.map(({ from, to, color, number }) => [from, to, color, number].join()),
      ]
      let wanted: readonly ListedWire[]
      try {
        wanted = readWireList(csv.join('\n'), diagram)
      } catch (error) {
        // two wires between the same ends, or one from a terminal to itself
        expect(error).toBeInstanceOf(WireListError)
        return
      }
      const edit = withLeads(text, leadsOf(wanted))
      // a lead from line voltage to control, or a part with no wire left, is refused with the lead that does it
      if (edit.is === 'problem') expect(edit.message).toMatch(/^(Move|Run|Take|Mark) /)
      else expect(leadList(readLadder(edit.text), leadsOf(wanted))).toEqual([])
    }),
    { numRuns: 30, seed: 480 },
  )
})

test('heads are known by what people call them, in any order, and a spreadsheet’s marks are no part of them', () => {
  const rows = wires.map(({ from, to, color, number }) => `${number};${color.toUpperCase()};${to};${from}`)
  const csv = `\uFEFFWire;Colour;To;From\r\n${rows.join('\r\n')}\r\n`
  expect(broughtIn(text, csv)).toBe(text)
})

test.each([
  ['a column that is not there', 'from,to,number\nTB.R,TS.R,R', /^row 1: no column color; a list has/],
  ['no wire', 'from,to,color,number\n', /heads and nothing below/],
  [
    'a terminal that is not there',
    'from,to,color,number\nTB.R,TS.Q,red,R',
    /^row 2: there is no terminal TS\.Q; nearest: TS\./,
  ],
  [
    'a wire twice',
    'from,to,color,number\nTB.R,TS.R,red,R\nTS.R,TB.R,red,R',
    /^row 3: TS\.R and TB\.R are joined in row 2 already/,
  ],
  [
    'a colour of two words',
    'from,to,color,number\nTB.R,TS.R,red white,R',
    /^row 2: write the colour as one word/,
  ],
])('%s is refused with the row and what to do', (_, csv, words) => {
  expect(() => readWireList(csv, diagram)).toThrow(words)
})

test('the list of another unit is refused, and says so', () => {
  expect(() => broughtIn(text, wireListCsv(readLadder(builtInUnitText('rooftop-480'))))).toThrow(
    WireListError,
  )
})
