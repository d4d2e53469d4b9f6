import type { Diagram } from '../diagram/diagram'
import type { Effect } from '../parts/effect'
import { UnknownNameError } from '../diagram/nearest'
import type { Conditions } from '../parts/kind'
import type { Situation } from './circuit'

/** Off: every source of the unit switched off at its isolators, locked and proven dead. */
export type Power = 'on' | 'off'

/** What a hand leaves a contact in when it switches off: open, or a handle with its word for it. */
const offStates = ['open', 'off'] as const

/** What switching off at some isolators of a unit does. */
export const switchedOff = (diagram: Diagram, isolators: readonly string[]): readonly Effect[] =>
  isolators.flatMap((id) => {
    const part = diagram.parts.get(id)
    return (part?.kind.branches(part.settings, {}) ?? []).flatMap(({ name, role, states }): Effect[] => {
      const state = offStates.find((off) => off in states)
      return role === 'contact' && state ? [{ does: 'hold', branch: `${id}/${name}`, state }] : []
    })
  })

/**
 * The situation of a call, under the call's own conditions unless told otherwise. Throws UnknownNameError.
 */
export function situationOf(
  diagram: Diagram,
  callId: string,
  power: Power = 'on',
  conditions: Conditions = {},
  standing: readonly Effect[] = [],
  off: readonly string[] = [],
): Situation {
  const call = diagram.calls.find(({ id }) => id === callId)
  if (!call)
    throw new UnknownNameError(
      'call',
      callId,
      diagram.calls.map(({ id }) => id),
    )
  return {
    call: callId,
    conditions: { ...call.conditions, ...conditions },
    standing: [...standing, ...switchedOff(diagram, power === 'on' ? off : diagram.isolators)],
  }
}
