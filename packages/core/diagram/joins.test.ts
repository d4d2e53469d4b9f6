import { Circuit } from '../circuit/circuit'
import { clampAmpsOf } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { builtInUnit, builtInUnitIds } from '../units/index'
import type { Diagram } from './diagram'
import { joinProblem } from './joins'

const jumperOhms = 0.001
/** More than this through a jumper or out of a source, in any call, is a short: loads of these units draw far less. */
const shortAmps = 60

/** The most that flows through a jumper between two points in any call, with every contact where the call has it. */
function mostAmps(diagram: Diagram, from: string, to: string): number {
  const amps = diagram.calls.map(({ id }) => {
    const join = { does: 'join', from, to, ohms: jumperOhms } as const
    // fuses and breakers are held: what they would open is what is looked for
    const held = [...diagram.parts.values()].filter(({ kind }) => kind.overcurrent)
    const closed = held.flatMap((part) =>
      part.kind
        .branches(part.settings, {})
        .filter(({ states }) => 'closed' in states)
        .map(({ name }) => ({ does: 'hold', branch: `${part.id}/${name}`, state: 'closed' }) as const),
    )
    const { healthy } = new Circuit(diagram, situationOf(diagram, id, 'on', {}, [...closed, join]))
    const { links } = healthy.circuit.network
    const joined = links.findIndex((link) => link.id.startsWith('join:'))
    return clampAmpsOf(healthy.ac, joined)
  })
  return Math.max(...amps)
}

/** Every pair is too many to solve: a fixed stride through them. */
function* somePairs(diagram: Diagram, stride: number): Generator<readonly [string, string]> {
  const points = [...diagram.points.keys()]
  let count = 0
  for (let a = 0; a < points.length; a++)
    for (let b = a + 1; b < points.length; b++) if (count++ % stride === 0) yield [points[a], points[b]]
}

test.each(builtInUnitIds)('%s: what solves as a short is never offered', (id) => {
  const diagram = builtInUnit(id)
  for (const [from, to] of somePairs(diagram, 421)) {
    if (joinProblem(diagram, from, to)) continue
    const amps = mostAmps(diagram, from, to)
    if (amps > shortAmps) throw new Error(`${from} to ${to} is offered and draws ${amps.toFixed(0)} A`)
  }
})

test.each([
  ['split-heat-pump', 'OT.R', 'OT.C'],
  ['split-heat-pump', 'XF.S1', 'XF.S2'],
  ['split-heat-pump', 'FU.T1', 'TB.C'],
  ['split-heat-pump', 'LB.L1', 'LB.L2'],
  ['split-heat-pump', 'TB.R', 'EARTH'],
  ['rooftop-two-stage', 'TB.R', 'CB.8'],
  ['rooftop-two-stage', 'LB.L1', 'LB.L3'],
  ['rooftop-two-stage', 'EC.A+', 'EC.A-'],
  ['fan-coil-two-pipe', 'TB.L', 'TB.N'],
])('%s: %s to %s is a short, whatever the points are called', (id, from, to) => {
  expect(joinProblem(builtInUnit(id), from, to)?.because).toBe('short')
})

test('line volts are never joined to control wiring', () => {
  expect(joinProblem(builtInUnit('rooftop-480'), 'LB.L1', 'TB.G')?.because).toBe('two-circuits')
})

test.each([
  ['TB.R', 'TB.G'],
  ['TB.R', 'TB.Y1'],
  ['LPS1.1', 'LPS1.2'],
  ['LAL.1', 'LAL.2'],
])('%s to %s may be joined for a test', (from, to) => {
  expect(joinProblem(builtInUnit('rooftop-two-stage'), from, to)).toBeNull()
})
