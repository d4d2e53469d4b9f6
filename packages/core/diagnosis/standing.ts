import type { Power } from '../circuit/situation'
import { partOfPoint, type Diagram } from '../diagram/diagram'
import type { Effect } from '../diagram/effect'
import { UnknownNameError } from '../diagram/nearest'
import type { Conditions } from '../parts/kind'
import type { ActionVerb, EntryBody } from '../visit/entry'

/** What holds at a moment of a visit: the call, the power, what was set, joined and lifted. */
export interface Standing {
  readonly call: string
  readonly power: Power
  readonly conditions: Conditions
  readonly actions: readonly { readonly key: string; readonly effects: readonly Effect[] }[]
  /** How many repairs were done before. */
  readonly repairs: number
}

export const atArrival = (diagram: Diagram, call: string): Standing => ({
  call: diagram.calls.some(({ id }) => id === call) ? call : diagram.calls[0].id,
  power: 'on', conditions: {}, actions: [], repairs: 0,
})

const jumperOhms = 0.05

/** The standing after an entry. Throws UnknownNameError for names that the unit does not have. */
export function follow(diagram: Diagram, standing: Standing, entry: EntryBody): Standing {
  switch (entry.kind) {
    case 'call':
      if (!diagram.calls.some(({ id }) => id === entry.call)) throw new UnknownNameError('call', entry.call, diagram.calls.map(({ id }) => id))
      return { ...standing, call: entry.call }
    case 'power':
      return { ...standing, power: entry.is === 'on' ? 'on' : 'off' }
    case 'condition':
      return { ...standing, conditions: { ...standing.conditions, [entry.of]: entry.value } }
    case 'action':
      return { ...standing, actions: actAfter(diagram, standing, entry.do, entry.of, entry.to) }
    case 'repair':
      return { ...standing, repairs: standing.repairs + 1 }
    default:
      return standing
  }
}

const opposite: Partial<Record<ActionVerb, ActionVerb>> = { land: 'lift', plug: 'unplug', unbridge: 'bridge' }

function actAfter(diagram: Diagram, standing: Standing, verb: ActionVerb, of: string, to?: string): Standing['actions'] {
  const undone = opposite[verb]
  if (undone) return standing.actions.filter(({ key }) => key !== actionKey(undone, of, to))
  const effects = effectsOfAction(diagram, verb, of, to)
  return effects.length === 0 ? standing.actions : [...standing.actions, { key: actionKey(verb, of, to), effects }]
}

const actionKey = (verb: ActionVerb, of: string, to?: string): string => `${verb} ${[of, to ?? ''].sort().join(' ')}`

/** What an action does to the circuit while it lasts. Throws UnknownNameError. */
export function effectsOfAction(diagram: Diagram, verb: ActionVerb, of: string, to?: string): readonly Effect[] {
  switch (verb) {
    case 'bridge': {
      const other = to ?? ''
      for (const point of [of, other]) if (!diagram.points.has(point)) throw new UnknownNameError('point', point, diagram.points.keys())
      return [{ does: 'join', from: of, to: other, ohms: jumperOhms }]
    }
    case 'lift': {
      const wires = [...diagram.wires.values()].filter((wire) => wire.id === of || wire.from === of || wire.to === of)
      if (wires.length === 0) throw new UnknownNameError('wire or terminal', of, [...diagram.wires.keys(), ...diagram.points.keys()])
      return wires.map((wire) => ({ does: 'open', branch: wire.id }))
    }
    case 'unplug': {
      const part = diagram.parts.get(of) ?? diagram.parts.get(partOfPoint(of))
      if (!part) throw new UnknownNameError('part', of, diagram.parts.keys())
      if (part.kind.kind === 'plug')
        return part.kind.branches(part.settings, {}).map((branch) => ({ does: 'open', branch: `${part.id}/${branch.name}` }))
      return [...diagram.wires.values()].filter((wire) => partOfPoint(wire.from) === part.id || partOfPoint(wire.to) === part.id)
        .map((wire) => ({ does: 'open', branch: wire.id }))
    }
    default:
      return []
  }
}
