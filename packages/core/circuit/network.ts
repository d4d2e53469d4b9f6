import { earth, type BranchId, type Effect } from '../parts/effect'
import type { Diagram, Part } from '../diagram/diagram'
import { endOf } from '../diagram/endOf'
import { resistance, self, type Equation, type Law } from '../electric/law'
import type { Conditions, Role } from '../parts/kind'

/** Which of the two solutions of a network is meant: phasors at supply frequency, or direct current. */
export type Analysis = 'ac' | 'dc'

/** A branch equation in link numbers: Σ volts·V − ohms·I = emf. `null`: no current. */
export type Row = null | {
  readonly links: readonly number[]
  readonly voltsRe: readonly number[]
  readonly voltsIm: readonly number[]
  readonly ohmsRe: readonly number[]
  readonly ohmsIm: readonly number[]
  readonly emfRe: number
  readonly emfIm: number
}

/** A two-terminal branch between two nodes, under one of its laws. */
export interface Link {
  readonly id: BranchId
  readonly a: number
  readonly b: number
  readonly role: Role
  readonly part: Part | null
  readonly states: Readonly<Record<string, Readonly<Record<Analysis, Row>>>>
  readonly rest: string
}

/**
 * A diagram under given conditions as nodes and links. Node `earthNode` is the reference, the metal of the
 * unit.
 */
export interface Network {
  readonly diagram: Diagram
  readonly conditions: Conditions
  readonly nodeNames: readonly string[]
  readonly nodes: ReadonlyMap<string, number>
  readonly links: readonly Link[]
  readonly linkNumbers: ReadonlyMap<BranchId, number>
  readonly earthNode: number
}

/** Compiles a law of link `own`; `siblings` gives the links of the same part by branch name. */
export function compileLaw(
  law: Law,
  own: number,
  siblings: (branch: string) => number,
): Readonly<Record<Analysis, Row>> {
  const row = (equation: Equation): Row => {
    if (equation === 'open') return null
    return {
      links: equation.terms.map((term) => (term.of === self ? own : siblings(term.of))),
      voltsRe: equation.terms.map((term) => term.volts.re),
      voltsIm: equation.terms.map((term) => term.volts.im),
      ohmsRe: equation.terms.map((term) => term.ohms.re),
      ohmsIm: equation.terms.map((term) => term.ohms.im),
      emfRe: equation.emf.re,
      emfIm: equation.emf.im,
    }
  }
  return { ac: row(law.ac), dc: row(law.dc) }
}

/** The row of a plain resistance that stands in for link `own`. Ohms. */
export const resistanceRows = (ohms: number, own: number): Readonly<Record<Analysis, Row>> =>
  compileLaw(resistance(ohms), own, () => own)

/**
 * Builds the network of a diagram. `standing` effects that join points or move a wire's end become links of
 * their own
 * (`join:0`, …), so that later changes are changes against them.
 */
export function buildNetwork(
  diagram: Diagram,
  conditions: Conditions,
  standing: readonly Effect[] = [],
): Network {
  const nodes = new Map<string, number>()
  const nodeNames: string[] = []
  const declared: {
    id: BranchId
    from: string
    to: string
    role: Role
    part: Part | null
    states: Readonly<Record<string, Law>>
    rest: string
  }[] = []
  const node = (name: string): void => {
    if (name === earth || nodes.has(name)) return
    nodes.set(name, nodeNames.length)
    nodeNames.push(name)
  }
  for (const point of diagram.points.keys()) node(point)
  for (const part of diagram.parts.values())
    for (const branch of part.kind.branches(part.settings, conditions)) {
      const from = endOf(part.id, branch.from)
      const to = endOf(part.id, branch.to)
      node(from)
      node(to)
      declared.push({
        id: `${part.id}/${branch.name}`,
        from,
        to,
        role: branch.role,
        part,
        states: branch.states,
        rest: branch.rest,
      })
    }
  for (const wire of diagram.wires.values())
    declared.push({
      id: wire.id,
      from: wire.from,
      to: wire.to,
      role: 'conductor',
      part: null,
      states: { is: resistance(wire.ohms) },
      rest: 'is',
    })
  for (const join of joinsOf(diagram, standing))
    declared.push({
      id: `join:${declared.length}`,
      ...join,
      role: 'conductor',
      part: null,
      states: { is: resistance(join.ohms) },
      rest: 'is',
    })

  const linkNumbers = new Map(declared.map((link, number) => [link.id, number]))
  const earthNode = nodeNames.length
  const numberOf = (name: string): number => nodes.get(name) ?? earthNode
  const links = declared.map((link, own): Link => ({
    id: link.id,
    a: numberOf(link.from),
    b: numberOf(link.to),
    role: link.role,
    part: link.part,
    rest: link.rest,
    states: Object.fromEntries(
      Object.entries(link.states).map(([state, law]) => [
        state,
        compileLaw(law, own, (branch) => {
          const sibling = linkNumbers.get(`${link.part?.id}/${branch}`)
          if (sibling === undefined)
            throw new RangeError(`${link.id}: its law speaks of ${branch}, which the part does not have`)
          return sibling
        }),
      ]),
    ),
  }))
  return { diagram, conditions, nodeNames, nodes, links, linkNumbers, earthNode }
}

/** The joins that effects make: those they state, and a moved wire's new landing. */
export const joinsOf = (
  diagram: Diagram,
  effects: readonly Effect[],
): readonly { from: string; to: string; ohms: number }[] =>
  effects.flatMap((effect) => {
    if (effect.does === 'join') return [effect]
    if (effect.does !== 'move') return []
    const wire = diagram.wires.get(effect.wire)
    if (!wire) return []
    return [{ from: effect.end === wire.from ? wire.to : wire.from, to: effect.to, ohms: wire.ohms }]
  })
