import { opened, resistance } from '../electric/law'
import type { Branch } from './kind'

/** A contact with states `open` and `closed`. Closed resistance in ohms. */
export const contact = (
  name: string,
  from: string,
  to: string,
  rest: 'open' | 'closed',
  ohms = 0.02,
): Branch => ({
  name,
  from,
  to,
  role: 'contact',
  rest,
  states: { open: opened, closed: resistance(ohms) },
})

export const position = (made: boolean): 'open' | 'closed' => (made ? 'closed' : 'open')

/** A branch that is always there under one law, called `is`. */
export const fixed = (
  name: string,
  from: string,
  to: string,
  role: Branch['role'],
  law: Branch['states'][string],
): Branch => ({ name, from, to, role, rest: 'is', states: { is: law } })

/** Carries nothing: only remembers which of its states a moving thing is in. */
export const memory = (name: string, states: readonly string[], rest: string): Branch => ({
  name,
  from: 'EARTH',
  to: 'EARTH',
  role: 'contact',
  rest,
  states: Object.fromEntries(states.map((state) => [state, opened])),
})
