import { isDead } from '../circuit/meters'
import type { Diagram } from '../diagram/diagram'
import { atArrival } from './standing'
import { gather } from './evidence'
import type { EntryBody } from './entry'
import { supplyChoices } from './supplyChoices'
import { unitAsMeasured } from './unitAsMeasured'

/**
 * What is wrong with an entry for this unit, taken by itself: unknown points, parts, calls, impossible
 * readings.
 * Whether the power was off for it is a matter of the log around it, not of the entry. Empty when it is
 * right.
 */
export function entryProblem(diagram: Diagram, body: EntryBody): string {
  const before: readonly EntryBody[] =
    body.kind === 'reading' && isDead(body.meter) ? [{ kind: 'power', is: 'isolated' }] : []
  try {
    const systems = body.kind === 'supply' ? supplyChoices(diagram).map(({ system }) => system) : []
    if (body.kind === 'supply' && !systems.includes(body.system))
      return `this unit cannot be on a supply “${body.system}”: ${systems.join('; ')}`
    gather(unitAsMeasured(diagram, [body]), { complaint: '', entries: [...before, body] })
    const isOfThing = body.kind === 'cause' || body.kind === 'repair'
    if (isOfThing && !diagram.parts.has(body.of) && !diagram.wires.has(body.of))
      return `“${body.of}” is neither a part nor a wire of this unit`
    const calls = body.kind === 'proof' ? [body.call] : body.kind === 'rewired' ? body.prove : []
    const unknown = calls.find((call) => atArrival(diagram, call).call !== call)
    if (unknown !== undefined) return `call “${unknown}” is not on this unit`
    return ''
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  }
}
