import { partOfBranch, type Diagram } from '../diagram/diagram'
import { lastingEffects } from '../diagram/lastingEffects'
import { goesBack, opensForAWhile } from '../diagram/opensForAWhile'
import type { Effect, Fault } from '../parts/effect'
import { isShort } from './resistance'

function isContact({ parts }: Diagram, branch: string): boolean {
  const part = parts.get(partOfBranch(branch))
  const own = part?.kind.branches(part.settings, {}).find(({ name }) => `${part.id}/${name}` === branch)
  return own?.role === 'contact' || own?.role === 'conductor'
}

/**
 * Whether what a fault does may come and go by itself: a connection does, and a switch that a blocked coil or
 * lost charge opens until its pressure has come back; a winding that is open does not.
 */
export function mayComeAndGo(diagram: Diagram, fault: Fault): boolean {
  switch (fault.class) {
    case 'trip':
      return goesBack(fault)
    // it opens and closes by what it watches
    case 'added':
      return true
    case 'fouled':
      return fault.effects.some((effect) => opensForAWhile(diagram, effect))
    case 'open':
      return fault.effects.every((effect) => effect.does === 'open' && isContact(diagram, effect.branch))
    default:
      return isShort(fault) || fault.class === 'loose' || fault.class === 'supply'
  }
}

/**
 * How a unit stands while what a fault does is away: what lasts of it does, and a switch that it opens for a
 * while has closed again, for what that watches has come back, whatever was measured of it before.
 */
export const whileAway = (diagram: Diagram, fault: Fault): readonly Effect[] => [
  ...lastingEffects(diagram, fault),
  ...fault.effects.flatMap((effect): readonly Effect[] =>
    effect.does === 'hold' && opensForAWhile(diagram, effect) ? [{ ...effect, state: 'closed' }] : [],
  ),
]
