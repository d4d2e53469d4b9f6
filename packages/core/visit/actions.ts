import { partOfPoint, type Diagram } from '../diagram/diagram'
import type { Effect } from '../parts/effect'
import { inPart } from '../diagram/faults'
import { joinProblem } from '../diagram/joins'
import { UnknownNameError } from '../diagram/nearest'
import { wiresAt, wiresOn } from '../diagram/wireAt'
import { movedLead, wireNamed } from './movedLead'
import type { ActionVerb, AlterationSort, EntryBody } from './entry'

/** An action that lasts: what it does to the circuit until it is undone. */
export interface StandingAction {
  readonly key: string
  readonly verb: ActionVerb | 'found'
  readonly of: string
  readonly to: string
  readonly effects: readonly Effect[]
}

/** Something that must not be done to a unit at all. */
export class ForbiddenActionError extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'ForbiddenActionError'
  }
}

const jumperOhms = 0.05

const undoes: Partial<Record<ActionVerb, readonly ActionVerb[]>> = {
  land: ['lift'],
  plug: ['unplug'],
  unbridge: ['bridge'],
  warm: ['cool'],
  cool: ['warm'],
}

/** The standing actions after one more. Throws UnknownNameError, ForbiddenActionError. */
export function actAfter(
  diagram: Diagram,
  before: readonly StandingAction[],
  verb: ActionVerb,
  of: string,
  to = '',
): readonly StandingAction[] {
  const undone = (undoes[verb] ?? []).map((other) => actionKey(other, of, to))
  const left = before.filter(({ key }) => !undone.includes(key))
  const effects = effectsOfAction(diagram, verb, of, to)
  const key = actionKey(verb, of, to)
  return effects.length === 0 || left.some((action) => action.key === key)
    ? left
    : [...left, { key, verb, of, to, effects }]
}

/**
 * The standing actions after one lead is said to be back on its terminal, of which every lead was lifted:
 * the others are still off.
 */
export const actionsAfterLanding = (
  diagram: Diagram,
  before: readonly StandingAction[],
  { terminal, color, number }: EntryBody & { kind: 'lead-landed' },
): readonly StandingAction[] => {
  const back = wiresAt(diagram, terminal).filter((wire) => wire.color === color && wire.number === number)
  const isBack = (effect: Effect): boolean =>
    effect.does === 'open' && back.some(({ id }) => id === effect.branch)
  const isOfIt = ({ verb, of, effects }: StandingAction): boolean =>
    verb === 'lift' && of === terminal && effects.some(isBack)
  if (!before.some(isOfIt)) return before
  return before.flatMap((action) => {
    if (!isOfIt(action)) return [action]
    const effects = action.effects.filter((effect) => !isBack(effect))
    return effects.length === 0 ? [] : [{ ...action, effects }]
  })
}

/** The standing actions after something was read or seen: a start that was watched is over. */
export const actionsWatched = (actions: readonly StandingAction[]): readonly StandingAction[] =>
  actions.some(({ verb }) => verb === 'start') ? actions.filter(({ verb }) => verb !== 'start') : actions

export const actionKey = (verb: ActionVerb, of: string, to = ''): string =>
  `${verb} ${[of, to].sort().join(' ')}`

/** A connector pulled apart, or every lead of a part that is none. */
function unplugged(diagram: Diagram, of: string): readonly Effect[] {
  const part = diagram.parts.get(of) ?? diagram.parts.get(partOfPoint(of))
  if (!part) throw new UnknownNameError('part', of, diagram.parts.keys())
  const apart = part.kind.pulledApart?.(part.settings)
  if (apart) return apart.map((effect) => inPart(part, effect))
  return wiresOn(diagram, part.id).map((wire) => ({ does: 'open', branch: wire.id }))
}

/** What an action does to the circuit while it lasts. Throws UnknownNameError, ForbiddenActionError. */
export function effectsOfAction(diagram: Diagram, verb: ActionVerb, of: string, to = ''): readonly Effect[] {
  switch (verb) {
    case 'bridge':
      return bridge(diagram, of, to)
    case 'lift': {
      const wires = [...diagram.wires.values()].filter(
        (wire) => wire.id === of || `${wire.to}-${wire.from}` === of || wire.from === of || wire.to === of,
      )
      if (wires.length === 0)
        throw new UnknownNameError('wire or terminal', of, [
          ...diagram.wires.keys(),
          ...diagram.points.keys(),
        ])
      return wires.map((wire) => ({ does: 'open', branch: wire.id }))
    }
    case 'unplug':
      return unplugged(diagram, of)
    case 'warm':
    case 'cool':
    case 'start': {
      const part = diagram.parts.get(of)
      if (!part) throw new UnknownNameError('part', of, diagram.parts.keys())
      const { touched, start } = part.kind
      const effects = verb === 'start' ? start?.effects : touched?.(verb, part.settings)
      return (effects ?? []).map((effect) => inPart(part, effect))
    }
    default:
      if (!diagram.parts.has(of) && !diagram.points.has(of) && !diagram.wires.has(of))
        throw new UnknownNameError('part, point or wire', of, [
          ...diagram.parts.keys(),
          ...diagram.points.keys(),
        ])
      return []
  }
}

/**
 * What an alteration found on arrival does to the circuit, until it is put right. Throws UnknownNameError.
 */
export function alterationEffects(
  diagram: Diagram,
  what: AlterationSort,
  of: string,
  to = '',
): readonly Effect[] {
  if (what === 'moved') return [movedLead(diagram, of, to)]
  if (what === 'added') {
    wireNamed(diagram, of)
    // how it stands is for readings to tell
    return []
  }
  if (of.includes('.') && to !== '') return what === 'substituted' ? [] : joinOf(diagram, of, to)
  const part = diagram.parts.get(of)
  if (!part) throw new UnknownNameError('part', of, diagram.parts.keys())
  if (what !== 'bridged') return []
  return part.kind
    .branches(part.settings, {})
    .filter(({ role, from }) => role === 'contact' && from !== 'EARTH')
    .slice(0, 1)
    .map(({ from, to: end }): Effect => ({
      does: 'join',
      from: `${of}.${from}`,
      to: `${of}.${end}`,
      ohms: jumperOhms,
    }))
}

function joinOf(diagram: Diagram, from: string, to: string): readonly Effect[] {
  for (const point of [from, to])
    if (point !== 'EARTH' && !diagram.points.has(point))
      throw new UnknownNameError('point', point, diagram.points.keys())
  return [{ does: 'join', from, to, ohms: jumperOhms }]
}

function bridge(diagram: Diagram, of: string, to: string): readonly Effect[] {
  const effects = joinOf(diagram, of, to)
  const problem = joinProblem(diagram, of, to)
  // what passes by a safety control is recorded, and makes the visit unsafe; a short is never even thought of
  if (problem && problem.because !== 'guard' && problem.because !== 'never-bridged')
    throw new ForbiddenActionError(problem.words)
  return effects
}
