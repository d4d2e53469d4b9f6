import { partOfPoint, type Diagram, type Part, type RungStop } from './diagram'
import type { PartSymbol } from '../parts/kind'
import type { DrawnPoint, DrawnStretch } from './drawnLadder'
import { railGap, stepAcross } from './drawnSizes'

/** Where the rails are, and whether the line ends here or goes on below. */
interface Rails {
  readonly left: number
  readonly right: number
  readonly endsHere: boolean
}

/** One line: what comes up to its load from the left, the load and what follows it by the right rail. */
export function lineOf(
  diagram: Diagram,
  chain: readonly RungStop[],
  y: number,
  { left, right, endsHere }: Rails,
): { readonly points: readonly DrawnPoint[]; readonly stretches: readonly DrawnStretch[] } {
  const load = endsHere ? lastLoad(diagram, chain) : null
  const last = chain.length - 1
  const xOf = (k: number): number =>
    load !== null && k >= load ? right - railGap - stepAcross * (last - k) : left + railGap + stepAcross * k
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
