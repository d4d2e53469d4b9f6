import type { Diagram, Part, Rung, RungStop } from './diagram'
import { partOfPoint } from './diagram'
import type { PartSymbol } from '../parts/kind'
import { Joined } from './joined'

type Place = readonly [x: number, y: number]

/** A point of the ladder where it is drawn; a point on two rungs is drawn on both. */
export interface DrawnPoint {
  readonly point: string
  readonly at: Place
}

/** A wire, or a way through a part, between two drawn points of one line. */
export interface DrawnStretch {
  readonly from: DrawnPoint
  readonly to: DrawnPoint
  /** What is drawn in the middle: a part by its symbol, or the colour and number of a wire. */
  readonly by:
    | { readonly is: 'part'; readonly part: Part; readonly symbol: PartSymbol }
    | { readonly is: 'wire'; readonly words: string }
}

/** The end of a line at a rail. */
export interface DrawnRail {
  readonly point: DrawnPoint
  readonly side: 'left' | 'right'
}

export interface DrawnRung {
  readonly words: string
  readonly at: Place
}

/** Rails of one section, from where it begins to where it ends. */
export interface DrawnSection {
  readonly words: string
  readonly wiring: Rung['wiring']
  readonly from: number
  readonly to: number
}

/**
 * A ladder drawn whole: line-voltage part above, control part below, rails left and right; units of its own,
 * from the left top.
 */
export interface LadderDrawing {
  readonly width: number
  readonly height: number
  readonly left: number
  readonly right: number
  readonly sections: readonly DrawnSection[]
  readonly rungs: readonly DrawnRung[]
  readonly points: readonly DrawnPoint[]
  readonly stretches: readonly DrawnStretch[]
  readonly rails: readonly DrawnRail[]
}

/** Distances of the drawing. */
const step = 104
const rowHeight = 58
const titleHeight = 30
const sectionGap = 34
const margin = 24
const railGap = 46

/**
 * Lays a diagram out from its rungs: each line runs from the left rail to the right, its load and what
 * follows by the right rail.
 */
export function ladderDrawing(diagram: Diagram): LadderDrawing {
  const longest = Math.max(1, ...diagram.rungs.flatMap(({ chains }) => chains.map(({ length }) => length)))
  const left = margin
  const right = margin + 2 * railGap + step * (longest - 1)
  const rails = railsOf(diagram)
  const made: {
    sections: DrawnSection[]
    rungs: DrawnRung[]
    points: DrawnPoint[]
    stretches: DrawnStretch[]
    rails: DrawnRail[]
  } = { sections: [], rungs: [], points: [], stretches: [], rails: [] }
  let y = margin
  for (const [wiring, words] of [
    ['line', 'Line voltage'],
    ['control', 'Control'],
  ] as const) {
    const rungs = diagram.rungs.filter((rung) => rung.wiring === wiring)
    if (rungs.length === 0) continue
    const from = y
    y += titleHeight
    for (const rung of rungs) {
      made.rungs.push({ words: rung.words, at: [left + 12, y + 14] })
      y += titleHeight
      for (const chain of rung.chains) {
        const drawn = lineOf(diagram, chain, y + rowHeight / 2, left, right)
        made.points.push(...drawn.points)
        made.stretches.push(...drawn.stretches)
        const [first] = drawn.points
        const last = drawn.points[drawn.points.length - 1]
        if (rails.left(first.point)) made.rails.push({ point: first, side: 'left' })
        if (rails.right(last.point)) made.rails.push({ point: last, side: 'right' })
        y += rowHeight
      }
    }
    made.sections.push({ words, wiring, from, to: y })
    y += sectionGap
  }
  return { width: right + margin, height: y, left, right, ...made }
}

/** Whether a line begins at what feeds its section, or ends at what it returns to. */
function railsOf(diagram: Diagram) {
  const joined = new Joined()
  for (const { from, to } of diagram.wires.values()) joined.join(from, to)
  // a terminal block is one conductor from end to end, as far as a drawing goes
  for (const { id, kind, settings } of diagram.parts.values())
    for (const { from, to, role } of kind.branches(settings, {}))
      if (role === 'conductor' && kind.symbol === 'terminal') joined.join(`${id}.${from}`, `${id}.${to}`)
  const same = (a: string | null, b: string): boolean => a !== null && joined.find(a) === joined.find(b)
  const isSource = (point: string): boolean => diagram.parts.get(partOfPoint(point))?.kind.symbol === 'source'
  return {
    left: (point: string): boolean => isSource(point) || same(diagram.hot, point),
    right: (point: string): boolean => same(diagram.common, point),
  }
}

/** One line: what comes up to its load from the left, the load and what follows it by the right rail. */
function lineOf(diagram: Diagram, chain: readonly RungStop[], y: number, left: number, right: number) {
  const load = lastLoad(diagram, chain)
  const last = chain.length - 1
  const xOf = (k: number): number =>
    load !== null && k >= load ? right - railGap - step * (last - k) : left + railGap + step * k
  const points = chain.map(({ point }, k): DrawnPoint => ({ point, at: [xOf(k), y] }))
  const stretches = chain.slice(1).map(({ by, point }, k): DrawnStretch => {
    const ends = { from: points[k], to: points[k + 1] }
    const wire = typeof by === 'object' ? diagram.wires.get(by.wire) : undefined
    if (wire) return { ...ends, by: { is: 'wire', words: `${wire.color} ${wire.number}` } }
    const part = diagram.parts.get(partOfPoint(point))
    return part
      ? { ...ends, by: { is: 'part', part, symbol: symbolBetween(part, chain[k].point, point) } }
      : { ...ends, by: { is: 'wire', words: '' } }
  })
  return { points, stretches }
}

/** The way through a part between two of its terminals: a pole of a contactor is no coil. */
function symbolBetween({ id, kind, settings }: Part, a: string, b: string): PartSymbol {
  const ends = new Set([a, b])
  const through = kind
    .branches(settings, {})
    .find(({ from, to }) => ends.has(`${id}.${from}`) && ends.has(`${id}.${to}`))
  return kind.symbol === 'coil' && through?.role === 'contact' ? 'contact' : kind.symbol
}

/** Where the last load of a line begins; null where it has none, and runs on from the left. */
function lastLoad(diagram: Diagram, chain: readonly RungStop[]): number | null {
  const at = chain.findLastIndex(({ by, point }, k) => {
    const part = diagram.parts.get(partOfPoint(point))
    if (by !== 'part' || k === 0 || !part) return false
    return part.kind
      .branches(part.settings, {})
      .some(
        ({ role, from, to }) =>
          (role === 'coil' || role === 'load') &&
          [from, to].every(
            (name) =>
              [chain[k - 1].point, point].some((end) => end === `${part.id}.${name}`) || name.startsWith('~'),
          ),
      )
  })
  return at < 0 ? null : at - 1
}
