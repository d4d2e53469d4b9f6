import type { Diagram } from '../diagram/diagram'
import type { Effect } from '../parts/effect'
import type { Situation } from './circuit'
import { playTimeline } from './timeline'

/** A contact of a healthy unit that moves only after a while, and when it does. */
export interface LateMove {
  readonly branch: string
  readonly seconds: number
  readonly from: string
  readonly to: string
}

const longestSeconds = 1800

/**
 * What still moves after the first instant when a healthy unit is taken from one situation to another, in
 * order of time.
 */
export function lateMoves(diagram: Diagram, before: Situation, after: Situation): readonly LateMove[] {
  const { events } = playTimeline(diagram, before, after, [], longestSeconds)
  const delayed = new Set(
    [...diagram.parts.values()].flatMap(({ id, kind, settings }) =>
      (kind.delays?.(settings) ?? []).map(({ branch, to }) => `${id}/${branch} ${to}`),
    ),
  )
  return events
    .filter(({ seconds, link, to }) => seconds > 0 && delayed.has(`${link} ${to}`))
    .map(({ seconds, link, from, to }) => ({ branch: link, seconds, from, to }))
}

/** Contacts that have not moved yet so many seconds in, as effects that hold them. */
export function pendingAt(moves: readonly LateMove[], seconds: number): readonly Effect[] {
  const held = new Map<string, string>()
  for (const move of [...moves].reverse()) if (move.seconds > seconds) held.set(move.branch, move.from)
  return [...held].map(([branch, state]): Effect => ({ does: 'hold', branch, state }))
}
