import { partOfPoint, partWords, type Diagram } from '../../diagram/diagram'
import type { ListStep } from './checkList'

/** Every lead of a part, by its colour and number, on the terminal that the drawing has it on. */
export function landingSteps(diagram: Diagram, part: string): readonly ListStep[] {
  return [...diagram.wires.values()].flatMap(({ id, from, to, color, number }): readonly ListStep[] => {
    const [own, other] = partOfPoint(from) === part ? [from, to] : [to, from]
    if (partOfPoint(own) !== part) return []
    const name = (point: string): string => point.slice(point.indexOf('.') + 1)
    return [
      {
        id: `lead ${id}`,
        does: `Follow the ${color} lead ${number} from ${name(own)}`,
        should: `It lands on ${name(other)} of ${partWords(diagram, partOfPoint(other))}.`,
        wrong: `The ${color} lead ${number} is not on ${other}: land it as drawn, then prove again.`,
      },
    ]
  })
}
