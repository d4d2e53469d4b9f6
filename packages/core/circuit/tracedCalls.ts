import { readLadder } from '../diagram/readLadder'
import type { Diagram } from '../diagram/diagram'
import { Circuit } from './circuit'
import { situationOf } from './situation'

/** Share of the control volts from which a coil or valve counts as called. */
const calledShare = 0.6

const out = new Float64Array(2)

/**
 * A ladder text with a line `trace` for each coil and valve that a call brings volts to and no line leads to yet: found by
 * solving the circuit, so that a path counts from the moment at which it is complete. Throws DiagramError.
 */
export function withTraces(text: string): string {
  const diagram = readLadder(text)
  const { hot } = diagram
  if (hot === null) return text
  const lines = diagram.calls.flatMap(({ id }) =>
    reachedIn(diagram, hot, id)
      .filter(({ point }) => !diagram.traces.some(({ call, to }) => call === id && to === point))
      .map(({ words, point }) => `trace ${id} "${words}" : ${hot} -> ${point}`),
  )
  return lines.length === 0 ? text : [text.trimEnd(), ...lines, ''].join('\n')
}

/** What a call brings the control volts to: the terminal that they come in by. */
function reachedIn(
  diagram: Diagram,
  hot: string,
  call: string,
): readonly { readonly words: string; readonly point: string }[] {
  const { healthy, network } = new Circuit(diagram, situationOf(diagram, call))
  const node = (point: string): number => network.nodes.get(point) ?? network.earthNode
  const volts = (a: number, b: number): number => {
    healthy.ac.volts(a, b, out)
    return Math.hypot(out[0], out[1])
  }
  const control = volts(node(hot), node(diagram.common))
  const controlled = new Set(
    [...diagram.wires.values()].flatMap(({ wiring, from, to }) => (wiring === 'control' ? [from, to] : [])),
  )
  return network.links.flatMap(({ part, role, a, b }) => {
    if (!part || part.id === diagram.plate || (role !== 'coil' && role !== 'load')) return []
    const ends = [network.nodeNames[a], network.nodeNames[b]]
    if (!ends.every((end) => controlled.has(end)) || volts(a, b) < calledShare * control) return []
    // the end away from common
    const point = volts(a, node(diagram.common)) > volts(b, node(diagram.common)) ? ends[0] : ends[1]
    return [{ words: part.words, point }]
  })
}
