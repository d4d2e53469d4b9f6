import { partOfPoint, type Diagram } from '../diagram/diagram'
import type { PointId } from '../parts/effect'
import type { DeadLeg, DropPoint } from './entry'

/** From this on a leg is not dead, volts. */
const deadBelowVolts = 5

/**
 * What has to be read before a unit counts as proven dead: each leg to each other and to ground, where hands
 * go: the terminals that the legs land on behind the last isolator of each supply.
 */
export function legsToProve(diagram: Diagram): readonly DropPoint[] {
  return lastIsolators(diagram).flatMap((id) => {
    const legs = outletsOf(diagram, id).map((outlet) => landingOf(diagram, outlet))
    return [
      ...legs.flatMap((from, k) => legs.slice(k + 1).map((to) => ({ from, to }))),
      ...legs.map((from) => ({ from, to: 'EARTH' })),
    ]
  })
}

/** The legs among those read that are not dead. */
export const stillLive = (read: readonly DeadLeg[]): readonly DeadLeg[] =>
  read.filter(({ volts }) => volts >= deadBelowVolts)

/** Whether every leg has been read, and all are dead: one that was not read is not 0 V. */
export const areProvenDead = (legs: readonly DropPoint[], read: readonly DeadLeg[]): boolean =>
  stillLive(read).length === 0 &&
  legs.every(({ from, to }) => read.some((leg) => leg.from === from && leg.to === to))

/** Isolators that feed something else than another isolator: no hands go between a breaker and its disconnect. */
const lastIsolators = (diagram: Diagram): readonly string[] =>
  diagram.isolators.filter((id) =>
    outletsOf(diagram, id).some((outlet) =>
      landings(diagram, outlet).some((point) => !diagram.isolators.includes(partOfPoint(point))),
    ),
  )

/** The far ends of the poles of an isolator. */
function outletsOf({ parts }: Diagram, id: string): readonly PointId[] {
  const part = parts.get(id)
  return (part?.kind.branches(part.settings, {}) ?? [])
    .filter(({ role, to }) => role === 'contact' && to !== 'EARTH')
    .map(({ to }) => `${id}.${to}`)
}

/** Where the wires of a terminal end. */
const landings = ({ wires }: Diagram, point: PointId): readonly PointId[] =>
  [...wires.values()].flatMap(({ from, to }) => (from === point ? [to] : to === point ? [from] : []))

/** Where a leg comes to hand; an outlet that nothing is wired to is read at itself. */
const landingOf = (diagram: Diagram, outlet: PointId): PointId =>
  landings(diagram, outlet).find((point) => !diagram.isolators.includes(partOfPoint(point))) ?? outlet
