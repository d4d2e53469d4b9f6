import fc from 'fast-check'
import {
  bareControls,
  bareHeats,
  bareLadder,
  bareSupplies,
  mayControlByLine,
  type BareUnit,
} from '../diagram/bareLadder'
import { drawLead, followLead, openLeads, type FarEnd } from '../diagram/drawLead'
import { readLadder } from '../diagram/readLadder'
import { Circuit } from './circuit'
import { loadAmps } from './loadAmps'
import { implausible } from './plausible'
import { situationOf } from './situation'
import { withTraces } from './tracedCalls'

const small: BareUnit = {
  title: 'Traced',
  unitClass: 'fan-coil',
  supply: bareSupplies[0],
  stages: 1,
  heat: bareHeats[0],
  control: 'transformer',
}

const traced = (text: string, from: string, label: string, to: FarEnd | string): string => {
  const [color, number] = label.split(' ')
  const end: FarEnd = typeof to === 'string' ? { is: 'terminal', point: to } : to
  const edit = drawLead(text, readLadder(text), { from, color, number, to: end })
  if (edit.is === 'problem') throw new Error(edit.message)
  return edit.text
}
const part = (id: string, kind: string, terminal: string): FarEnd => ({
  is: 'new-part',
  id,
  kind,
  terminal,
  words: id,
  zone: 'unit',
})

test('every bare unit can be solved before its first lead, and nothing of it is implausible', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...bareSupplies),
      fc.constantFrom(0 as const, 1 as const, 2 as const),
      fc.constantFrom(...bareHeats),
      fc.constantFrom(...bareControls.map(({ id }) => id)),
      (supply, stages, heat, control) => {
        const diagram = readLadder(bareLadder({ ...small, supply, stages, heat, control }))
        const nominal = control === 'line' && mayControlByLine(supply) ? supply.tap : 24
        const [call, output] = stages === 0 ? ['fan', 'TB.G'] : ['cool1', 'TB.Y1']
        const { healthy, network } = new Circuit(diagram, situationOf(diagram, call))
        const out = new Float64Array(2)
        healthy.ac.volts(network.nodes.get(output) ?? 0, network.nodes.get(diagram.common) ?? 0, out)
        expect(Math.hypot(out[0], out[1])).toBeGreaterThan(0.95 * nominal)
        expect(Math.hypot(out[0], out[1])).toBeLessThan(1.15 * nominal)
        expect(implausible(diagram)).toEqual([])
      },
    ),
  )
})

/** A compressor behind a pressure switch, as somebody would trace it. */
function drawn(): string {
  let text = bareLadder(small)
  text = traced(text, 'TB.Y1', 'yellow 1', part('LPS', 'low-pressure-switch', '1'))
  text = traced(text, 'LPS.2', 'yellow 2', part('CC1', 'contactor', 'A1'))
  text = traced(text, 'CC1.A2', 'blue 3', { is: 'not-traced' })
  return text
}

test('an end that nobody has followed stays open, is named, and the path counts once it is complete', () => {
  const open = drawn()
  expect(openLeads(readLadder(open)).map(({ from }) => from)).toEqual(['CC1.A2'])
  // nothing is reached while the circuit is open
  expect(withTraces(open)).toBe(open)
  const diagram = readLadder(open)
  const followed = followLead(open, diagram, openLeads(diagram)[0], 'TB.C')
  if (followed.is === 'problem') throw new Error(followed.message)
  expect(openLeads(readLadder(followed.text))).toEqual([])
  const whole = withTraces(followed.text)
  expect(readLadder(whole).traces).toEqual([
    expect.objectContaining({ call: 'cool1', from: 'TB.R', to: 'CC1.A1' }),
  ])
  // what is there already is not said twice
  expect(withTraces(whole)).toBe(whole)
})

test('a load behind what was traced runs in the call that brings it in', () => {
  let text = drawn()
  const diagram = readLadder(text)
  const followed = followLead(text, diagram, openLeads(diagram)[0], 'TB.C')
  text = followed.is === 'text' ? followed.text : ''
  text = traced(text, 'LB.L1', 'black 4', 'CC1.L1')
  text = traced(text, 'LB.L2', 'red 5', 'CC1.L2')
  text = traced(text, 'CC1.T1', 'black 6', part('C1', 'single-phase-compressor', 'C'))
  text = traced(text, 'CC1.T2', 'red 7', 'C1.R')
  text = traced(text, 'C1.R', 'brown 8', part('CAP', 'capacitor', '1'))
  text = traced(text, 'CAP.2', 'white 9', 'C1.S')
  const now = readLadder(text)
  const amps = (call: string) => loadAmps(new Circuit(now, situationOf(now, call)).healthy).get('C1') ?? 0
  expect(amps('off')).toBeLessThan(0.1)
  expect(amps('cool1')).toBeGreaterThan(1)
  const line = [...now.wires.values()].filter(({ number }) => ['4', '5', '6', '7', '8', '9'].includes(number))
  expect(new Set(line.map(({ wiring }) => wiring))).toEqual(new Set(['line']))
})

test.each([
  ['TB.Q', 'yellow 1', 'TB.C', /no terminal TB\.Q/],
  ['TB.Y1', 'yellow #1', 'TB.C', /letters and digits/],
  ['TB.Y1', 'yellow 1', 'TB.Y1', /two different ends/],
  ['TB.R', 'red 9', 'TS.R', /joined by a lead already/],
  ['TB.Y1', 'yellow 1', 'LB.L1', /line voltage and of control/],
])('%s, %s, to %s is refused with what to do', (from, label, to, words) => {
  expect(() => traced(bareLadder(small), from, label, to)).toThrow(words)
})

test.each([
  [part('cc1', 'contactor', 'A1'), /capitals/],
  [part('TB', 'contactor', 'A1'), /already/],
  [part('CC1', 'steam-engine', 'A1'), /kind/],
  [part('CC1', 'contactor', 'Z9'), /terminals A1, A2/],
])('a new part %# that cannot be is refused', (to, words) => {
  expect(() => traced(bareLadder(small), 'TB.Y1', 'yellow 1', to)).toThrow(words)
})

test.each([
  ['120-one', 120],
  ['277-one', 277],
] as const)(
  'on %s with controls at line voltage a fan behind its relay is drawn for those volts, and runs',
  (id, at) => {
    const supply = bareSupplies.find((each) => each.id === id) ?? bareSupplies[0]
    let text = bareLadder({ ...small, supply, stages: 0, control: 'line' })
    text = traced(text, 'TB.G', 'green 1', part('GR', 'relay', 'A1'))
    text = traced(text, 'GR.A2', 'white 2', 'TB.N')
    text = traced(text, 'LB.L1', 'black 3', 'GR.COM1')
    text = traced(text, 'GR.NO1', 'black 4', part('IFM', 'capacitor-fan', 'C'))
    text = traced(text, 'IFM.R', 'white 5', 'LB.N')
    text = traced(text, 'IFM.R', 'brown 6', part('CAP', 'capacitor', '1'))
    text = traced(text, 'CAP.2', 'brown 7', 'IFM.S')
    const diagram = readLadder(withTraces(text))
    const [fan, relay] = ['IFM', 'GR'].map((of) => diagram.parts.get(of)?.settings)
    expect([fan?.number('volts'), relay?.number('coilVolts')]).toEqual([at, at])
    // what nobody has read is taken for what is usual, and is known not to be read
    expect([fan?.isUnread('amps'), fan?.isUnread('volts')]).toEqual([true, false])
    const circuit = new Circuit(diagram, situationOf(diagram, 'fan'))
    expect(circuit.looks(circuit.healthy).get('IFM')).toEqual(['turning'])
    expect(diagram.traces.map(({ call, to }) => `${call} ${to}`)).toContain('fan GR.A1')
  },
)
