import type { BranchId, Effect } from '../parts/effect'
import { UnknownNameError } from '../diagram/nearest'
import type { Settings } from '../parts/settings'
import { joinsOf, resistanceRows, type Analysis, type Network, type Row } from './network'

type Rows = Readonly<Record<Analysis, Row>>

/** Rows in the place of a link's own; `closedOnly` where a contact passes nothing while it is open. */
export interface Replacement extends Rows {
  readonly closedOnly: boolean
}

/** The row of a link that has been replaced. */
export const replacedRow = (replaced: Replacement, own: Rows, analysis: Analysis): Row =>
  replaced.closedOnly && own.ac === null ? null : replaced[analysis]

/** Two nodes joined that the network does not join. */
export interface Join {
  readonly a: number
  readonly b: number
  readonly rows: Rows
}

/**
 * Effects resolved against a network: rows that replace a link's law, states that are held, settings that
 * differ, joins.
 */
export interface Overrides {
  readonly rows: ReadonlyMap<number, Replacement>
  readonly held: ReadonlyMap<number, string>
  readonly settings: ReadonlyMap<string, Settings>
  readonly joins: readonly Join[]
}

export const noOverrides: Overrides = { rows: new Map(), held: new Map(), settings: new Map(), joins: [] }

/** Whether something has another resistance than it should. */
export const hasOhms = ({ rows }: Overrides): boolean => [...rows.values()].some(({ ac }) => ac !== null)

const openRows: Replacement = { ac: null, dc: null, closedOnly: false }

/** Resolves effects. Throws UnknownNameError for a branch, point or part that the unit does not have. */
export function resolveEffects(
  network: Network,
  effects: readonly Effect[],
  joinsBuiltIn = false,
): Overrides {
  const rows = new Map<number, Replacement>()
  const held = new Map<number, string>()
  const settings = new Map<string, Settings>()
  const link = (id: BranchId): number => {
    const number = network.linkNumbers.get(id) ?? network.linkNumbers.get(id.split('-').reverse().join('-'))
    if (number === undefined) throw new UnknownNameError('branch', id, network.linkNumbers.keys())
    return number
  }
  const node = (point: string): number => {
    if (point === 'EARTH') return network.earthNode
    const number = network.nodes.get(point)
    if (number === undefined) throw new UnknownNameError('point', point, network.nodes.keys())
    return number
  }
  for (const effect of effects) {
    switch (effect.does) {
      case 'open':
        rows.set(link(effect.branch), openRows)
        break
      case 'ohms': {
        const number = link(effect.branch)
        const { role } = network.links[number]
        rows.set(number, {
          ...resistanceRows(effect.ohms, number),
          closedOnly: role === 'contact' || role === 'fuse',
        })
        break
      }
      case 'hold': {
        const number = link(effect.branch)
        if (!(effect.state in network.links[number].states))
          throw new UnknownNameError(
            `state of ${effect.branch}`,
            effect.state,
            Object.keys(network.links[number].states),
          )
        held.set(number, effect.state)
        break
      }
      case 'move':
        rows.set(link(effect.wire), openRows)
        break
      case 'set': {
        const part = network.diagram.parts.get(effect.part)
        if (!part) throw new UnknownNameError('part', effect.part, network.diagram.parts.keys())
        settings.set(
          effect.part,
          (settings.get(effect.part) ?? part.settings).with(effect.setting, effect.to),
        )
        break
      }
      case 'join':
        node(effect.from)
        node(effect.to)
    }
  }
  const joins = joinsBuiltIn
    ? []
    : joinsOf(network.diagram, effects).map((join): Join => ({
        a: node(join.from),
        b: node(join.to),
        rows: resistanceRows(join.ohms, 0),
      }))
  return { rows, held, settings, joins }
}
