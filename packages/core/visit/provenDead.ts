import { partOfPoint, type Diagram } from '../diagram/diagram'
import { supplies } from '../diagram/roles'
import type { PointId } from '../parts/effect'
import type { DeadLeg, DropPoint } from './entry'

/** Two points between which nothing may be left; `dc`: what is stored there, with direct volts. */
export interface LegToProve extends DropPoint {
  readonly meter: 'volts' | 'dc'
}

/** From this on a leg is not dead, volts; what is stored in a bus is harmless a good deal sooner. */
const deadBelowVolts = { volts: 5, dc: 50 } as const

/**
 * What has to be read before a unit counts as proven dead: each leg to each other and to ground, one alone to
 * its neutral too, where hands go: the terminals that the legs land on behind the last isolator of each
 * supply; and what stays charged.
 */
export function legsToProve(diagram: Diagram): readonly LegToProve[] {
  const supplied = lastIsolators(diagram).flatMap((id): readonly LegToProve[] => {
    const legs = outletsOf(diagram, id).map((outlet) => landingOf(diagram, outlet))
    return [
      ...legs.flatMap((from, k) => legs.slice(k + 1).map((to) => ({ from, to, meter: 'volts' as const }))),
      // to ground alone a single leg would read nothing where the ground lead is off
      ...(legs.length === 1 ? toNeutral(diagram, legs[0]) : []),
      ...legs.map((from) => ({ from, to: 'EARTH', meter: 'volts' as const })),
    ]
  })
  return [...supplied, ...chargedPairs(diagram)]
}

const toNeutral = (diagram: Diagram, from: PointId): readonly LegToProve[] =>
  supplies(diagram)
    .flatMap(({ id }) => landings(diagram, `${id}.N`))
    .slice(0, 1)
    .map((to) => ({ from, to, meter: 'volts' }))

const chargedPairs = ({ parts }: Diagram): readonly LegToProve[] =>
  [...parts.values()].flatMap(({ id, kind: { storedBetween } }) =>
    storedBetween
      ? [{ from: `${id}.${storedBetween[0]}`, to: `${id}.${storedBetween[1]}`, meter: 'dc' }]
      : [],
  )

/** What was read of a leg, if it was. */
const readOf = ({ from, to }: DropPoint, read: readonly DeadLeg[]): DeadLeg | undefined =>
  read.find((leg) => leg.from === from && leg.to === to)

/** The legs that were read and are not dead, each as it was read. */
export const stillLive = (legs: readonly LegToProve[], read: readonly DeadLeg[]): readonly DeadLeg[] =>
  legs.flatMap((leg) => {
    const found = readOf(leg, read)
    return found && found.volts >= deadBelowVolts[leg.meter] ? [found] : []
  })

/** Whether every leg has been read, and all are dead: one that was not read is not 0 V. */
export const areProvenDead = (legs: readonly LegToProve[], read: readonly DeadLeg[]): boolean =>
  stillLive(legs, read).length === 0 && legs.every((leg) => readOf(leg, read) !== undefined)

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
