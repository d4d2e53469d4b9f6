import type { Power } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'

/** Whether a unit is on, and which of its isolators are off while the rest of it is on. */
export interface PowerState {
  readonly power: Power
  readonly off: readonly string[]
}

export const allOn: PowerState = { power: 'on', off: [] }

/**
 * Power after switching: `of` names isolators, comma-separated; empty for the whole unit. All of them off one by one is
 * the unit off; one back on of a unit that is off leaves the others off. Throws UnknownNameError.
 */
export function powerAfter(diagram: Diagram, before: PowerState, on: boolean, of = ''): PowerState {
  const names = of
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '')
  for (const name of names)
    if (!diagram.parts.has(name)) throw new UnknownNameError('isolator', name, diagram.isolators)
  if (names.length === 0) return { power: on ? 'on' : 'off', off: [] }
  const wasOff = before.power === 'off' ? [...diagram.isolators].sort() : before.off
  const off = on ? wasOff.filter((name) => !names.includes(name)) : [...new Set([...wasOff, ...names])].sort()
  return diagram.isolators.every((isolator) => off.includes(isolator))
    ? { power: 'off', off: [] }
    : { power: 'on', off }
}
