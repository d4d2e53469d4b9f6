import { partOfPoint, type Diagram, type Part } from './diagram'
import type { PointId } from '../parts/effect'

/** Terminals of the board that a call comes to, by the wires from whatever gives calls: thermostat or building. */
export function callTerminals({ board, wires, parts }: Diagram): readonly PointId[] {
  if (board === null) return []
  const outputs = new Set(
    [...parts.values()].flatMap(({ id, kind, settings }) =>
      (kind.calls?.(settings) ?? []).map((name) => `${id}.${name}`),
    ),
  )
  return [...wires.values()].flatMap(({ from, to }) => {
    if (outputs.has(from) && partOfPoint(to) === board) return [to]
    return outputs.has(to) && partOfPoint(from) === board ? [from] : []
  })
}

/** Terminals of the board at which the hot side of control power stands. */
export function boardHot({ hot, board }: Diagram): PointId | null {
  return hot !== null && partOfPoint(hot) === board ? hot : null
}

/** Fuses that protect the control circuit. */
export const controlFuses = ({ parts }: Pick<Diagram, 'parts'>): readonly Part[] =>
  [...parts.values()].filter(({ kind, settings }) => kind.protects?.(settings) === 'control')

/** The parts that feed the unit from outside. */
export const supplies = ({ parts }: Diagram): readonly Part[] =>
  [...parts.values()].filter(({ kind }) => kind.symbol === 'source')
