import type { DiagramRecord } from '@jokulgale/contract/places'

/** The circuits that a unit may be given: the newest of each line of versions, those of the program first. */
export function circuitsToChoose(diagrams: readonly DiagramRecord[]): readonly DiagramRecord[] {
  const followed = new Set(diagrams.filter(({ isBuiltIn }) => isBuiltIn).map(({ follows }) => follows))
  const superseded = new Set(diagrams.filter(({ isBuiltIn }) => !isBuiltIn).map(({ follows }) => follows))
  return diagrams
    .filter(({ id, isBuiltIn }) => (isBuiltIn ? !followed.has(id) : !superseded.has(id)))
    .sort((a, b) => Number(b.isBuiltIn) - Number(a.isBuiltIn) || a.title.localeCompare(b.title))
}
