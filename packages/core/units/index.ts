import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import { knownLadder } from '../diagram/readLadder'
import { unitTexts } from '../generated/unitTexts'

export const builtInUnitIds: readonly string[] = Object.keys(unitTexts)

/** The ladder text of a built-in unit. Throws UnknownNameError. */
export function builtInUnitText(id: string): string {
  const text = unitTexts[id]
  if (text === undefined) throw new UnknownNameError('unit', id, builtInUnitIds)
  return text
}

/** The diagram of a built-in unit, read once. Throws UnknownNameError. */
export const builtInUnit = (id: string): Diagram => knownLadder(builtInUnitText(id))
