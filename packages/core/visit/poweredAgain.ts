import type { StandingAction } from './actions'
import type { Standing } from './standing'

/** Leads that are off and plugs that are out: power comes back only when they are on and in again. */
export const takenApart = ({ actions }: Standing): readonly StandingAction[] =>
  actions.filter(({ verb }) => verb === 'lift' || verb === 'unplug')

/** The standing that power comes back to: what was taken apart at rest is together again. */
export function poweredAgain(now: Standing): Standing {
  if (now.power === 'on') return now
  const apart = takenApart(now)
  return { ...now, power: 'on', age: null, actions: now.actions.filter((action) => !apart.includes(action)) }
}
