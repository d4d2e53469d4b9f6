import { conductors } from '../diagram/conductors'
import type { Diagram } from '../diagram/diagram'
import { effectEnds } from '../diagram/effectEnds'
import type { Effect } from '../parts/effect'
import type { Difference } from './difference'

/** What a suspect lays blame on, and what it does. */
interface Blame {
  readonly of: readonly string[]
  readonly effects: readonly Effect[]
}

/**
 * Whether a suspect names the stretch in which a unit is not as drawn: the same wire or part, or something
 * between the same two conductors. Who looks there sees what nobody drew.
 */
export function namesStretch(diagram: Diagram, difference: Difference, suspect: Blame): boolean {
  if (suspect.of.includes(difference.of)) return true
  const conductorOf = conductors(diagram)
  const between = (effects: readonly Effect[]): readonly string[] =>
    effects.flatMap((effect) => {
      const pair = effectEnds(diagram, effect)?.map(conductorOf).sort()
      return pair && pair[0] !== pair[1] ? [pair.join(' ')] : []
    })
  const differs = new Set(between(difference.effects))
  return between(suspect.effects).some((pair) => differs.has(pair))
}
