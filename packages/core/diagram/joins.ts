import type { Equation } from '../electric/law'
import { self } from '../electric/law'
import type { Branch } from '../parts/kind'
import { partOfPoint, type Diagram, type Part } from './diagram'
import { earth, type PointId } from '../parts/effect'
import { endOf } from './endOf'
import { passesByGuard } from './guards'
import { Joined } from './joined'

/** Why two points may not be joined by hand. */
export interface JoinProblem {
  readonly because: 'same-point' | 'short' | 'two-circuits' | 'guard' | 'never-bridged'
  readonly words: string
}

/** A branch of more than this between two points is a load between them, ohms. */
const bareBelowOhms = 5

/**
 * Whether two points may be joined by hand, judged by how the unit is wired and not by what the points are called: null
 * when they may. A join is a short when, in some position that the contacts can take together, it leaves nothing
 * between two poles of a source. Two circuits that nothing but the metal of the unit joins are never joined either.
 */
export function joinProblem(diagram: Diagram, from: PointId, to: PointId): JoinProblem | null {
  if (from === to)
    return { because: 'same-point', words: `${from} to ${to}: a join needs two different points` }
  const { positions, circuits } = wiringOf(diagram)
  const shorted = positions.flatMap((position) => position.shortedBy(from, to))
  if (shorted.length > 0)
    return {
      because: 'short',
      words: `${from} to ${to} is a dead short of ${shorted[0]}: never join these two`,
    }
  if (from !== earth && to !== earth && circuits.find(from) !== circuits.find(to))
    return {
      because: 'two-circuits',
      words: `${from} to ${to} would put one circuit’s volts on another: never join these two`,
    }
  if (passesByGuard(diagram, from, to))
    return {
      because: 'guard',
      words: `${from} to ${to} passes by a safety control, which is never bridged, not for a test: read across it instead`,
    }
  const part = partOfPoint(from)
  if (part === partOfPoint(to) && diagram.parts.get(part)?.kind.testBridge === 'never')
    return {
      because: 'never-bridged',
      words: `${from} to ${to}: a line pole or contact that is never bridged, not for a test`,
    }
  return null
}

/** One set of positions that the contacts of a unit can take together. */
class Position {
  private readonly joined = new Joined()
  private readonly sources: readonly { readonly a: string; readonly b: string; readonly words: string }[]

  constructor(diagram: Diagram, open: ReadonlySet<string>) {
    for (const wire of diagram.wires.values()) this.joined.join(wire.from, wire.to)
    for (const part of diagram.parts.values())
      for (const branch of part.kind.branches(part.settings, {}))
        if (isBare(branch) && !open.has(`${part.id}/${branch.name}`))
          this.joined.join(endOf(part.id, branch.from), endOf(part.id, branch.to))
    this.sources = polesOf(diagram).filter(({ a, b }) => this.joined.find(a) !== this.joined.find(b))
  }

  /** Words for the sources whose poles a join brings together. */
  shortedBy(from: PointId, to: PointId): readonly string[] {
    const [one, other] = [this.joined.find(from), this.joined.find(to)]
    return this.sources.flatMap(({ a, b, words }) => {
      const poles = [this.joined.find(a), this.joined.find(b)]
      return poles.includes(one) && poles.includes(other) && one !== other ? [words] : []
    })
  }
}

interface Wiring {
  readonly positions: readonly Position[]
  /** Points that hang together by wires and parts, but not by the metal of the unit. */
  readonly circuits: Joined
}

/** The name of the circuit that a point is in: the same for all that hang together by wires and parts. */
export const circuitOf = (diagram: Diagram, point: PointId): string => wiringOf(diagram).circuits.find(point)

const known = new WeakMap<Diagram, Wiring>()

function wiringOf(diagram: Diagram): Wiring {
  const kept = known.get(diagram)
  if (kept) return kept
  const circuits = new Joined()
  for (const wire of diagram.wires.values()) circuits.join(wire.from, wire.to)
  for (const part of diagram.parts.values())
    for (const { from, to, role } of part.kind.branches(part.settings, {}))
      if (from !== earth && to !== earth && role !== 'winding')
        circuits.join(endOf(part.id, from), endOf(part.id, to))
  const wiring: Wiring = { circuits, positions: openSets(diagram).map((open) => new Position(diagram, open)) }
  known.set(diagram, wiring)
  return wiring
}

/** Every choice of which throw of each double-throw part is made: the contacts that are open then. */
const openSets = (diagram: Diagram): readonly ReadonlySet<string>[] =>
  [...diagram.parts.values()].reduce<readonly ReadonlySet<string>[]>(
    (sets, part) => {
      const throws = part.kind.throws?.(part.settings) ?? []
      if (throws.length < 2) return sets
      return throws.flatMap((made) => {
        const open = throws.flat().filter((contact) => !made.includes(contact))
        return sets.map((set) => new Set([...set, ...open.map((contact) => `${part.id}/${contact}`)]))
      })
    },
    [new Set()],
  )

/** Pairs of points that are the poles of a source, alternating or direct. */
const polesOf = (diagram: Diagram): readonly { a: string; b: string; words: string }[] =>
  [...diagram.parts.values()].flatMap((part) => {
    const declared = part.kind.poles?.(part.settings) ?? []
    return [...declared, ...directPoles(part)].map(([a, b]) => ({
      a: `${part.id}.${a}`,
      b: `${part.id}.${b}`,
      words: part.words,
    }))
  })

/** Below this an electronic output does not limit its own current, ohms. */
const selfLimitingOhms = 1000

/** Outputs of electronics that give direct volts with little in their way. */
const directPoles = (part: Part): readonly (readonly [string, string])[] =>
  part.kind
    .branches(part.settings, {})
    .filter(({ role, states, from, to }) => {
      const named = !from.startsWith('~') && !to.startsWith('~')
      return role === 'output' && named && Object.values(states).some(({ dc }) => gives(dc))
    })
    .map(({ from, to }) => [from, to] as const)

const gives = (equation: Equation): boolean =>
  equation !== 'open' && equation.emf.re !== 0 && ownOhms(equation) < selfLimitingOhms

/** Whether a branch can be next to nothing: a conductor, a contact that can close, a fuse. */
const isBare = ({ role, states }: Branch): boolean =>
  (role === 'conductor' || role === 'contact' || role === 'fuse') &&
  Object.values(states).some(({ ac, dc }) => Math.min(ownOhms(ac), ownOhms(dc)) < bareBelowOhms)

/** Size of the impedance of a plain branch; Infinity for one that is open or speaks of others. */
function ownOhms(equation: Equation): number {
  if (equation === 'open' || equation.terms.some(({ of }) => of !== self)) return Infinity
  return Math.min(...equation.terms.map(({ ohms }) => Math.hypot(ohms.re, ohms.im)))
}
