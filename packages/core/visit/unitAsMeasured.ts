import type { Diagram, Part } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import { supplies } from '../diagram/roles'
import type { EntryBody } from './entry'
import { EvidenceError } from './evidence'

type Values = Readonly<Record<string, number | string>>

const known = new WeakMap<Diagram, Map<string, Diagram>>()

/**
 * The unit as it stands on this site: fed by the supply that was found, its parts rated as their plates say. Entered
 * late, it holds for what was read before too. Throws UnknownNameError, EvidenceError.
 */
export function unitAsMeasured(diagram: Diagram, entries: readonly EntryBody[]): Diagram {
  const values = new Map<string, Values>()
  for (const entry of entries) {
    if (entry.kind === 'supply')
      for (const [id, own] of onSupply(diagram, entry.system)) values.set(id, { ...values.get(id), ...own })
    if (entry.kind === 'plate') values.set(entry.of, { ...values.get(entry.of), ...entry.values })
  }
  return values.size === 0 ? diagram : withValues(diagram, values)
}

/** How far from the volts that it is drawn for the dial of a monitor goes: share. */
const dialReach = 0.2

/**
 * What stands otherwise on a unit that is on another supply than drawn: the supply itself, and what whoever
 * installs a unit sets by a dial for the volts of its line, as a phase monitor. One left where it was made
 * would have let nothing run since. By part.
 */
export function onSupply(diagram: Diagram, system: string): ReadonlyMap<string, Values> {
  const [supply] = supplies(diagram)
  const values = new Map<string, Values>(supplies(diagram).map(({ id }) => [id, { system }]))
  const volts = supply?.kind.nominalVolts?.(supply.settings.with('system', system))
  if (volts === undefined) return values
  for (const { id, kind, settings } of diagram.parts.values()) {
    if (!kind.dials?.volts || kind.madeFor?.circuit !== 'line') continue
    if (Math.abs(volts / settings.number('volts') - 1) <= dialReach) values.set(id, { volts })
  }
  return values
}

/** A diagram with settings of some parts in the place of those drawn; the same values give the same diagram. */
export function withValues(diagram: Diagram, values: ReadonlyMap<string, Values>): Diagram {
  const key = JSON.stringify([...values].sort(([a], [b]) => (a < b ? -1 : 1)))
  const variants = known.get(diagram) ?? new Map<string, Diagram>()
  known.set(diagram, variants)
  const kept = variants.get(key)
  if (kept) return kept
  const parts = new Map(diagram.parts)
  for (const [id, own] of values) parts.set(id, rated(diagram, id, own))
  const variant: Diagram = { ...diagram, parts }
  variants.set(key, variant)
  return variant
}

function rated(diagram: Diagram, id: string, values: Values): Part {
  const part = diagram.parts.get(id)
  if (!part) throw new UnknownNameError('part', id, diagram.parts.keys())
  const settings = Object.entries(values).reduce((now, [name, value]) => {
    if (!(name in part.kind.settings))
      throw new UnknownNameError(`setting of a ${part.kind.words}`, name, Object.keys(part.kind.settings))
    return now.with(name, value)
  }, part.settings)
  try {
    part.kind.terminals(settings)
    part.kind.branches(settings, {})
  } catch (error) {
    throw new EvidenceError(`${id}: ${error instanceof Error ? error.message : String(error)}`)
  }
  return { ...part, settings }
}
