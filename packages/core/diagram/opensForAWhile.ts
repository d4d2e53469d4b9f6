import type { Effect, Fault } from '../parts/effect'
import { partOfBranch, type Diagram } from './diagram'

/** Whether a switch that has tripped goes back by itself: it cools, or what it watches has come back. */
export const goesBack = ({
  class: sort,
  when,
  clears = [],
}: Pick<Fault, 'class' | 'when' | 'clears'>): boolean =>
  sort === 'trip' && (clears.includes('wait') || (when !== undefined && !clears.includes('reset')))

/** Whether an effect holds a switch open that goes back by itself. */
export function opensForAWhile({ parts }: Diagram, effect: Effect): boolean {
  if (effect.does !== 'hold' || effect.state !== 'open') return false
  const part = parts.get(partOfBranch(effect.branch))
  return part?.kind.faults(part.settings).some(goesBack) ?? false
}
