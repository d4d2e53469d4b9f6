import { earth } from '../parts/effect'
import type { Branch } from '../parts/kind'
import type { Diagram, Part } from './diagram'
import { endOf } from './endOf'
import { Joined } from './joined'

/** Windings or elements of one part that hang together, and whose ohms are read. */
export interface ReadLoad {
  readonly id: string
  /** What parts of the same make have in common; null for one that is alone of it. */
  readonly make: string | null
  /** What its ohms can be held against: those of its other windings, which are alike, or of a part alike. */
  readonly compares: 'pairs' | 'twins' | 'nothing'
  readonly twins: readonly Part[]
}

/**
 * The one load that two points are the terminals of, by wires and plugs alone: its ohms are read between
 * them. Null where there is none, or several side by side.
 */
export function loadBetween(diagram: Diagram, from: string, to: string): ReadLoad | null {
  const { joined, loads } = wiringOf(diagram)
  const [a, b] = [joined.find(from), joined.find(to)]
  const between = a === b ? [] : loads.filter(({ ends }) => ends.has(a) && ends.has(b))
  return between.length === 1 ? between[0].load : null
}

interface Wiring {
  /** Points joined by wires and plugs. */
  readonly joined: Joined
  readonly loads: readonly { readonly load: ReadLoad; readonly ends: ReadonlySet<string> }[]
}

const known = new WeakMap<Diagram, Wiring>()

function wiringOf(diagram: Diagram): Wiring {
  const wiring = known.get(diagram) ?? findWiring(diagram)
  known.set(diagram, wiring)
  return wiring
}

function findWiring(diagram: Diagram): Wiring {
  const joined = new Joined()
  const parts = [...diagram.parts.values()]
  for (const wire of diagram.wires.values()) joined.join(wire.from, wire.to)
  for (const part of parts)
    for (const { role, from, to } of branchesOf(part))
      if (role === 'conductor') joined.join(endOf(part.id, from), endOf(part.id, to))
  // beside a winding, electronics have next to no part in its ohms
  const wound = parts.filter(({ kind }) => kind.symbol !== 'control')
  const makes = wound.map(makeOf)
  const loads = wound.flatMap((part, k) => {
    const twins = wound.filter((other, j) => other !== part && makes[j] === makes[k])
    return hangingTogether(branchesOf(part).filter(hasOhms)).map((branches) => {
      const names = [...new Set(branches.flatMap(({ from, to }) => [from, to]))]
      return {
        load: {
          id: `${part.id} ${names.join()}`,
          make: twins.length > 0 ? makes[k] : null,
          compares: comparing(branches, twins),
          twins,
        },
        ends: new Set(names.map((name) => joined.find(endOf(part.id, name)))),
      }
    })
  })
  return { joined, loads }
}

function comparing(branches: readonly Branch[], twins: readonly Part[]): ReadLoad['compares'] {
  const isAlike = new Set(branches.map(ohmsDrawn)).size === 1
  if (isAlike && branches.length > 2) return 'pairs'
  return twins.length > 0 && branches.length === 1 ? 'twins' : 'nothing'
}

const branchesOf = ({ kind, settings }: Part): readonly Branch[] =>
  kind.branches(settings, {}).filter(({ from, to }) => from !== earth && to !== earth)

const hasOhms = ({ role, states }: Branch): boolean =>
  (role === 'load' || role === 'coil' || role === 'winding') &&
  Object.values(states).some(({ dc }) => dc !== 'open')

/** The same for all parts of a kind whose windings or elements are drawn alike. */
const makeOf = (part: Part): string =>
  JSON.stringify([
    part.kind.kind,
    branchesOf(part)
      .filter(hasOhms)
      .map((branch) => [branch.from, branch.to, ohmsDrawn(branch)]),
  ])

/** What a branch has for direct current in each of its states. */
const ohmsDrawn = ({ states }: Branch): string => JSON.stringify(Object.values(states).map(({ dc }) => dc))

/** Branches by what they join. */
function hangingTogether(branches: readonly Branch[]): readonly (readonly Branch[])[] {
  const joined = new Joined()
  for (const { from, to } of branches) joined.join(from, to)
  const roots = [...new Set(branches.map(({ from }) => joined.find(from)))]
  return roots.map((root) => branches.filter(({ from }) => joined.find(from) === root))
}
