import type { Diagram, Part, Wire } from '../diagram/diagram'
import { faultsOf } from '../diagram/faults'
import type { Effect, Fault, PointId } from '../parts/effect'
import { between, oneOf, type Random } from './random'

/** Settings of parts that are others than drawn. */
export type Substitutes = ReadonlyMap<string, Values>
type Values = Readonly<Record<string, number>>

/** Something about a unit that its drawing does not have. */
export interface Difference {
  readonly words: string
  readonly effects: readonly Effect[]
  readonly substitutes: Substitutes
  /** The wire or the part that is not as drawn. */
  readonly of: string
  /** Its ends: the stretch in which the drawing is not true. */
  readonly points: readonly PointId[]
}

const none: Substitutes = new Map()

/**
 * What somebody may have changed, each sort as likely as another; null where a unit has nothing of the
 * sort.
 */
export function drawDifference(diagram: Diagram, random: Random): Difference | null {
  const sort = oneOf(random, [addedSwitch, jumper, movedLead, otherTransformer, otherLoad])
  return sort(diagram, random)
}

/** What the difference does, as something that is wrong with the unit. */
export const asFault = ({ words, effects, of }: Difference): Fault => ({
  id: 'difference',
  class: 'landing',
  words,
  prior: 0,
  effects,
  cause: '',
  prove: '',
  of,
})

/**
 * The other terminals of a point's part that no line wire lands on: nobody mistakes one of those for his
 * own.
 */
function otherTerminals({ points, wires }: Diagram, point: PointId): readonly PointId[] {
  const ofLine = new Set(
    [...wires.values()].flatMap(({ from, to, wiring }) => (wiring === 'line' ? [from, to] : [])),
  )
  const part = points.get(point)?.part
  return [...points.values()]
    .filter((other) => other.part === part && other.id !== point && !ofLine.has(other.id))
    .map(({ id }) => id)
}

const controlWires = ({ wires }: Diagram): readonly Wire[] =>
  [...wires.values()].filter(({ wiring }) => wiring === 'control')

/** A switch that nobody drew, open, somewhere in a wire. */
function addedSwitch(diagram: Diagram, random: Random): Difference {
  const { id, from, to } = oneOf(random, controlWires(diagram))
  return {
    words: `a switch between ${from} and ${to}`,
    effects: [{ does: 'open', branch: id }],
    substitutes: none,
    of: id,
    points: [from, to],
  }
}

/** A part passed by: what comes to one of its terminals joined to another of them. */
function jumper(diagram: Diagram, random: Random): Difference | null {
  const { from, to } = oneOf(random, controlWires(diagram))
  const part = diagram.points.get(to)?.part ?? ''
  const others = otherTerminals(diagram, to)
  if (others.length === 0) return null
  const other = oneOf(random, others)
  return {
    words: `${from} joined to ${other}`,
    effects: [{ does: 'join', from, to: other, ohms: 0.05 }],
    substitutes: none,
    of: part,
    points: [from, to, other],
  }
}

/** A lead on another terminal of the part it goes to, other than those that look alike. */
function movedLead(diagram: Diagram, random: Random): Difference | null {
  const listed = new Set(
    faultsOf(diagram).flatMap(({ effects }) => effects.map((one) => JSON.stringify(one))),
  )
  const moves = controlWires(diagram).flatMap(({ id, from, to }) =>
    [from, to].flatMap((end) =>
      otherTerminals(diagram, end)
        .map((other): Effect => ({ does: 'move', wire: id, end, to: other }))
        .filter((effect) => !listed.has(JSON.stringify(effect)))
        .map((effect) => ({ effect, of: id, points: [end, from === end ? to : from] })),
    ),
  )
  if (moves.length === 0) return null
  const { effect, of, points } = oneOf(random, moves)
  return { words: `lead ${of} on another terminal`, effects: [effect], substitutes: none, of, points }
}

/** A control transformer of another secondary. */
function otherTransformer(diagram: Diagram, random: Random): Difference | null {
  return substitute(diagram, random, ({ kind, settings }) =>
    kind.fullLoadAmps && 'secondary' in kind.settings
      ? { secondary: settings.number('secondary') * oneOf(random, [0.4, 0.5, 0.6, 1.5]) }
      : null,
  )
}

/** A coil for other volts, or a heater of another size. */
function otherLoad(diagram: Diagram, random: Random): Difference | null {
  return substitute(diagram, random, ({ kind, settings }): Values | null => {
    if (kind.symbol === 'heater' && 'watts' in kind.settings)
      return { watts: settings.number('watts') * between(random, 0.3, 0.6) }
    if ('coilVolts' in kind.settings && settings.number('coilVolts') < 60)
      return { coilVolts: oneOf(random, [120, 208, 240]) }
    return null
  })
}

function substitute(
  { parts }: Diagram,
  random: Random,
  other: (part: Part) => Values | null,
): Difference | null {
  const found = [...parts.values()].flatMap((part) => {
    const values = other(part)
    return values ? [{ part, values }] : []
  })
  if (found.length === 0) return null
  const { part, values } = oneOf(random, found)
  return {
    words: `${part.words} is another: ${JSON.stringify(values)}`,
    effects: [],
    substitutes: new Map([[part.id, values]]),
    of: part.id,
    points: [],
  }
}
