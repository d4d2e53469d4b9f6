import { dialMarks, dialSaid, type DialMark } from '../parts/dialMarks'
import type { Dial } from '../parts/kind'
import type { Settings } from '../parts/settings'
import type { Diagram, Part } from './diagram'

/** Something on a unit that is set by hand. */
export interface UnitDial {
  /** `PART.setting`, as entries name it. */
  readonly id: string
  readonly words: string
  readonly unit: string
  /** As the diagram has it. */
  readonly drawn: string
  /** What it shows instead of numbers; empty where it shows numbers or words. */
  readonly marks: readonly DialMark[]
}

/** The unit that a dial’s numbers are in, as its part is set up. */
export const dialUnit = ({ unit }: Dial, settings: Settings): string =>
  typeof unit === 'string' ? unit : unit(settings)

const dialOf = ({ id, words, settings }: Part, setting: string, dial: Dial): UnitDial => ({
  id: `${id}.${setting}`,
  words: `${words}: ${dial.words}`,
  unit: dialUnit(dial, settings),
  drawn: settings.text(setting),
  marks: dial.marked ? dialMarks(settings) : [],
})

/** Everything on a unit that a person may find set wrong. */
export const dialsOf = (diagram: Diagram): readonly UnitDial[] =>
  [...diagram.parts.values()].flatMap((part) =>
    Object.entries(part.kind.dials ?? {}).map(([setting, dial]) => dialOf(part, setting, dial)),
  )

const dialNamed = (diagram: Diagram, id: string): UnitDial | undefined =>
  dialsOf(diagram).find((dial) => dial.id === id)

/** A setting as one says it; its id where the unit has no such dial. */
export const dialWords = (diagram: Diagram, id: string): string => dialNamed(diagram, id)?.words ?? id

/** A value of a setting with its unit; of a mark, with what it stands for. */
export function dialValue(diagram: Diagram, id: string, value: string): string {
  const { unit = '', marks = [] } = dialNamed(diagram, id) ?? {}
  const meant = marks.find(({ mark }) => mark === dialSaid(marks, value))
  if (meant) return `${meant.mark} (${meant.value} ${unit})`
  return unit && Number.isFinite(Number(value)) ? `${value} ${unit}` : value
}

/** A setting as it is said, brought to what the dial shows; null where such a dial cannot stand there. */
export function settingSaid(part: Part, setting: string, said: string): string | null {
  const usual = part.kind.settings[setting]
  if (typeof usual !== 'number') return said
  return dialSaid(part.kind.dials?.[setting]?.marked ? dialMarks(part.settings) : [], said)
}
