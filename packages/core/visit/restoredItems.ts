import type { Diagram } from '../diagram/diagram'
import type { PutBack } from '../parts/kind'

/** On every unit, before what is said by its parts. */
const first: readonly PutBack[] = [
  { id: 'fuses', words: 'Fuses of the right size in, stand-ins out' },
  { id: 'jumpers', words: 'Jumpers, test leads and tone set off' },
  { id: 'settings', words: 'Thermostat and controller settings back' },
]
const last: readonly PutBack[] = [
  { id: 'tucked', words: 'Wires tucked in, run once more with covers on' },
  { id: 'panels', words: 'Panels on, screws in' },
]

/** What is put back before a unit is left, whatever was done to it: of every unit, and of its parts. */
export function restoredItems({ parts }: Diagram): readonly PutBack[] {
  const fitted = new Map(
    [...parts.values()].flatMap(({ kind }) =>
      kind.putBack ? [[kind.putBack.id, kind.putBack] as const] : [],
    ),
  )
  return [...first, ...fitted.values(), ...last]
}
