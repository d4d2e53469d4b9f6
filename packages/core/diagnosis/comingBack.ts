import { partOfBranch, type Diagram } from '../diagram/diagram'
import type { Effect, Fault } from '../parts/effect'
import { isShort } from './resistance'

/** Whether a switch that has tripped goes back by itself: it cools, or what it watches has come back. */
const goesBack = ({ class: sort, when, clears = [] }: Pick<Fault, 'class' | 'when' | 'clears'>): boolean =>
  sort === 'trip' && (clears.includes('wait') || (when !== undefined && !clears.includes('reset')))

const partOf = ({ parts }: Diagram, branch: string) => parts.get(partOfBranch(branch))

/** Whether an effect holds a switch open that goes back by itself. */
function opensForAWhile(diagram: Diagram, effect: Effect): boolean {
  if (effect.does !== 'hold' || effect.state !== 'open') return false
  const part = partOf(diagram, effect.branch)
  return part?.kind.faults(part.settings).some(goesBack) ?? false
}

function isContact(diagram: Diagram, branch: string): boolean {
  const part = partOf(diagram, branch)
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
    case 'fouled':
      return fault.effects.some((effect) => opensForAWhile(diagram, effect))
    case 'open':
      return fault.effects.every((effect) => effect.does === 'open' && isContact(diagram, effect.branch))
    default:
      return isShort(fault) || fault.class === 'loose' || fault.class === 'supply'
  }
}

/**
 * What of a fault lasts while what it does is away: a coil is still dirty when its switch has closed again.
 */
export const lastingEffects = (diagram: Diagram, { class: sort, effects }: Fault): readonly Effect[] =>
  sort === 'fouled' ? effects.filter((effect) => !opensForAWhile(diagram, effect)) : []
