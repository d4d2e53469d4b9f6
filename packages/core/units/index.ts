import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import { readLadder } from '../diagram/readLadder'
import { unitTexts } from '../generated/unitTexts'

const read = new Map<string, Diagram>()

export const builtInUnitIds: readonly string[] = Object.keys(unitTexts)

/** The ladder text of a built-in unit. Throws UnknownNameError. */
export function builtInUnitText(id: string): string {
  const text = unitTexts[id]
  if (text === undefined) throw new UnknownNameError('unit', id, builtInUnitIds)
  return text
}

/** The diagram of a built-in unit, read once. Throws UnknownNameError. */
export function builtInUnit(id: string): Diagram {
  const known = read.get(id)
  if (known) return known
  const diagram = readLadder(builtInUnitText(id))
  read.set(id, diagram)
  return diagram
}
