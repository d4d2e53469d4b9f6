import type { DiagramRecord, UnitRecord } from '@jokulgale/contract/places'

/**
 * The circuits that a unit may be given: the newest of each line of versions, those of the program first. What is only
 * planned for a unit is not among them, and supersedes nothing.
 */
export function circuitsToChoose(
  all: readonly DiagramRecord[],
  units: readonly Pick<UnitRecord, 'diagram' | 'plan'>[],
): readonly DiagramRecord[] {
  const had = new Set(units.map(({ diagram }) => diagram))
  const planned = new Set(units.map(({ plan }) => plan).filter((id) => !had.has(id)))
  const diagrams = all.filter(({ id }) => !planned.has(id))
  const followed = new Set(diagrams.filter(({ isBuiltIn }) => isBuiltIn).map(({ follows }) => follows))
  const superseded = new Set(diagrams.filter(({ isBuiltIn }) => !isBuiltIn).map(({ follows }) => follows))
  return diagrams
    .filter(({ id, isBuiltIn }) => (isBuiltIn ? !followed.has(id) : !superseded.has(id)))
    .sort((a, b) => Number(b.isBuiltIn) - Number(a.isBuiltIn) || a.title.localeCompare(b.title))
}
