import type { Diagram, Part } from '../diagram/diagram'
import { inPart } from '../diagram/faults'
import type { Effect, Fault } from '../parts/effect'
import { surroundings } from '../parts/surroundings'
import { conditionNamed } from '../visit/conditionWords'

/** The parts of a unit that a condition of its surroundings acts on. */
const partsIn = ({ parts }: Diagram, condition: string): readonly Part[] =>
  [...parts.values()].filter(({ kind, settings }) => kind.feels && settings.text('reads') === condition)

/**
 * The unit with nothing wrong in surroundings other than a call assumes, stretch by stretch of each
 * condition that it answers to. Nobody has measured it: until somebody has, this explains what a sensor or a
 * changeover shows as well as a fault does.
 */
export function otherSurroundings(diagram: Diagram): readonly Fault[] {
  return Object.entries(surroundings).flatMap(([condition, stretches]) => {
    const parts = partsIn(diagram, condition)
    const at = (value: number): readonly Effect[] =>
      parts.flatMap((part) =>
        (part.kind.feels?.(value, part.settings) ?? []).map((effect) => inPart(part, effect)),
      )
    const { words, unit } = conditionNamed(condition)
    return parts.length === 0
      ? []
      : stretches.map(([from, to]): Fault => ({
          id: `${condition}:${from}..${to}`,
          class: 'surroundings',
          words: `${words} of ${from} to ${to} ${unit}, not as the call assumes, and nothing wrong`,
          // every stretch is as likely as another
          prior: 1 / stretches.length,
          effects: at((from + to) / 2),
          ends: { least: at(from), most: at(to) },
          cause: 'nobody has measured it',
          prove: 'measure it, and enter it',
          of: condition,
        }))
  })
}
