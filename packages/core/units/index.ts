import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import { knownLadder } from '../diagram/readLadder'
import { families } from '../families/index'
import { familyOfUnit } from '../generated/familyTexts'

/** The named choices of the families. */
export const builtInUnitIds: readonly string[] = Object.keys(familyOfUnit).sort((a, b) => a.localeCompare(b))

const textsOfUnits = new Map<string, string>()

/** The ladder text of a built-in unit. Throws UnknownNameError. */
export function builtInUnitText(id: string): string {
  const text = textsOfUnits.get(id) ?? chosenText(id)
  textsOfUnits.set(id, text)
  return text
}

function chosenText(id: string): string {
  const family = families.find((each) => each.id === familyOfUnit[id])?.read()
  const choice = family?.choices.find((each) => each.id === id)
  if (!family || !choice) throw new UnknownNameError('unit', id, builtInUnitIds)
  return family.ladderOf(choice.values, choice)
}

/** The diagram of a built-in unit, read once. Throws UnknownNameError. */
export const builtInUnit = (id: string): Diagram => knownLadder(builtInUnitText(id))
