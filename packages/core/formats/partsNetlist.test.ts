import fc from 'fast-check'
import { leadsOf } from '../changes/leadChange'
import { leadsByNodes } from '../changes/leadsByNodes'
import { withLeads } from '../changes/withLeads'
import { readLadder } from '../diagram/readLadder'
import { builtInUnitIds, builtInUnitText } from '../units/index'
import { partsNetlist } from './partsNetlist'
import { isNetlist, NetlistError, readPartsNetlist } from './readPartsNetlist'

/** The circuit wired as a netlist says; the words of what was refused otherwise. */
function broughtIn(text: string, netlist: string): string {
  const diagram = readLadder(text)
  const edit = withLeads(text, leadsOf(leadsByNodes(diagram, readPartsNetlist(netlist, diagram))))
  return edit.is === 'text' ? edit.text : `refused: ${edit.message}`
}

test.each(builtInUnitIds)('%s: its own netlist changes nothing, in small letters neither', (id) => {
  const text = builtInUnitText(id)
  const netlist = partsNetlist(readLadder(text))
  expect(isNetlist(netlist)).toBe(true)
  expect(broughtIn(text, netlist)).toBe(text)
  expect(broughtIn(text, netlist.toLowerCase())).toBe(text)
})

const text = builtInUnitText('fan-coil-cooling')
const diagram = readLadder(text)
const netlist = partsNetlist(diagram)

/** Which terminals are joined, whatever the nodes are called. */
const nodesIn = (netlistText: string): ReadonlySet<string> =>
  new Set(readPartsNetlist(netlistText, diagram).map((points) => [...points].sort().join(' ')))

test('a circuit becomes what a netlist of it says, whichever terminals stand in other nodes there', () => {
  const lines = netlist.split('\n')
  const placed = lines.flatMap((line, k) => (line.startsWith('X') ? [k] : []))
  const change = fc.record({ at: fc.constantFrom(...placed), terminal: fc.nat(6), node: fc.nat(40) })
  fc.assert(
    fc.property(fc.array(change, { minLength: 1, maxLength: 3 }), (changes) => {
      const other = lines
        .map((line, k) =>
          changes
            .filter(({ at }) => at === k)
            .reduce((words, { terminal, node }) => {
              const count = words.length - 2
              return words.map((word, w) => (w === 1 + (terminal % count) ? `n${1 + node}` : word))
            }, line.split(' '))
            .join(' '),
        )
        .join('\n')
      const after = broughtIn(text, other)
      // a short of the supply, or a section that nothing feeds, is no circuit, and is refused with its lead
      if (after.startsWith('refused'))
        expect(after).toMatch(/joins two legs|puts a leg|nothing joins this|no wire reaches|line voltage/)
      else expect(nodesIn(partsNetlist(readLadder(after)))).toEqual(nodesIn(other))
    }),
    { numRuns: 60 },
  )
})

test.each([
  ['an element that is no part', `${netlist}\nR1 n1 n2 10`, /R1 is not known here: a part is a line XNAME/],
  ['a part that is not drawn', netlist.replace('XFLT ', 'XFLX '), /there is no part FLX; nearest: FLT/],
  ['one that stands twice', netlist.replace('.end\n', `${lineOf('XFLT')}\n`), /FLT is in line \d+ already/],
  ['one without its terminals', netlist.replace(/^\.subckt FLT .*$/m, ''), /FLT has no \.subckt before it/],
  [
    'a terminal that is not there',
    netlist.replace('.subckt FLT 1', '.subckt FLT 9'),
    /no terminal FLT\.9; it has FLT\.1/,
  ],
  ['too few nodes', netlist.replace(/^(XFLT) \S+/m, '$1'), /nodes for the \d terminals of FLT/],
  [
    'a terminal that is left out',
    netlist.replace(/^(\.subckt CC1) \S+/m, '$1').replace(/^(XCC1) \S+/m, '$1'),
    /its \.subckt leaves out CC1\.A1: give each a node/,
  ],
  ['a terminal named twice', netlist.replace('.subckt FLT 1 2', '.subckt FLT 1 1'), /names FLT\.1 twice/],
  ['half of it', netlist.replace(/^XFLT.*$/m, ''), /no line for FLT: give the whole unit/],
])('%s is refused by its line', (_, wrong, words) => {
  expect(() => readPartsNetlist(wrong, diagram)).toThrow(NetlistError)
  expect(() => readPartsNetlist(wrong, diagram)).toThrow(words)
})

function lineOf(name: string): string {
  return netlist.split('\n').find((line) => line.startsWith(`${name} `)) ?? ''
}
