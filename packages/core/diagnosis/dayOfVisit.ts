import type { Diagram } from '../diagram/diagram'
import { conditionsThatSurround, surroundings } from '../parts/surroundings'
import type { Condition, Conditions } from '../parts/kind'
import type { Standing } from '../visit/standing'

/**
 * A standing in the weather and water of the day. A visit is of one day: where nobody has measured them they
 * are as the visit's own call assumes, in every call that is set.
 */
export function onDayOfVisit(diagram: Diagram, home: string, standing: Standing): Standing {
  if (standing.call === home) return standing
  const [atHome, here] = [home, standing.call].map((call) => assumedIn(diagram, call))
  const ofDay = conditionsThatSurround.flatMap((of) => {
    const [day, assumed] = [atHome[of], here[of]]
    const isOtherwise = day !== undefined && stretchOf(of, day) !== stretchOf(of, assumed)
    return isOtherwise ? [[of, day] as const] : []
  })
  return ofDay.length === 0
    ? standing
    : { ...standing, conditions: { ...Object.fromEntries(ofDay), ...standing.conditions } }
}

const assumedIn = ({ calls }: Diagram, call: string): Conditions =>
  calls.find(({ id }) => id === call)?.conditions ?? {}

/** Which stretch of a condition a value lies in; −1 where none is said. */
const stretchOf = (of: Condition, value: number | undefined): number =>
  surroundings[of]?.findIndex(([from, to]) => value !== undefined && from <= value && value < to) ?? -1
