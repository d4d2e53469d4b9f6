import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import { knownLadder } from '../diagram/readLadder'
import { families } from '../families/index'
import { unitTexts } from '../generated/unitTexts'

/** Units with a text of their own, and the named choices of the families. */
const textsOfUnits: ReadonlyMap<string, string> = new Map(
  [
    ...Object.entries(unitTexts),
    ...families.flatMap((family) =>
      family.choices.map((choice): [string, string] => [choice.id, family.ladderOf(choice.values, choice)]),
    ),
  ].sort(([a], [b]) => a.localeCompare(b)),
)

export const builtInUnitIds: readonly string[] = [...textsOfUnits.keys()]

/** The ladder text of a built-in unit. Throws UnknownNameError. */
export function builtInUnitText(id: string): string {
  const text = textsOfUnits.get(id)
  if (text === undefined) throw new UnknownNameError('unit', id, builtInUnitIds)
  return text
}

/** The diagram of a built-in unit, read once. Throws UnknownNameError. */
export const builtInUnit = (id: string): Diagram => knownLadder(builtInUnitText(id))
