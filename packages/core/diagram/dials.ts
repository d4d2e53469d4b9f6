import type { Diagram } from './diagram'

/** Something on a unit that is set by hand. */
export interface UnitDial {
  /** `PART.setting`, as entries name it. */
  readonly id: string
  readonly words: string
  readonly unit: string
  /** As the diagram has it. */
  readonly drawn: string
}

/** Everything on a unit that a person may find set wrong. */
export const dialsOf = (diagram: Diagram): readonly UnitDial[] =>
  [...diagram.parts.values()].flatMap(({ id, words, kind, settings }) =>
    Object.entries(kind.dials ?? {}).map(([setting, dial]) => ({
      id: `${id}.${setting}`,
      words: `${words}: ${dial.words}`,
      unit: dial.unit,
      drawn: settings.text(setting),
    })),
  )

/** A setting as one says it; its id where the unit has no such dial. */
export const dialWords = (diagram: Diagram, id: string): string =>
  dialsOf(diagram).find((dial) => dial.id === id)?.words ?? id

/** A value of a setting with its unit. */
export function dialValue(diagram: Diagram, id: string, value: string): string {
  const unit = dialsOf(diagram).find((dial) => dial.id === id)?.unit ?? ''
  return unit && Number.isFinite(Number(value)) ? `${value} ${unit}` : value
}
