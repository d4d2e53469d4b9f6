import { dialMarks, dialSaid, type DialMark } from '../parts/dialMarks'
import type { Dial, DialChoice } from '../parts/kind'
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
  /** Any of its settings is right; it is only known where it was drawn. */
  readonly isFree: boolean
  /** What it shows instead of numbers; empty where it shows numbers or words. */
  readonly marks: readonly DialMark[]
  /** What it offers to choose from, its marks with what they stand for; empty where it shows plain numbers. */
  readonly choices: readonly DialChoice[]
}

/** The unit that a dial’s numbers are in, as its part is set up. */
export const dialUnit = ({ unit }: Dial, settings: Settings): string =>
  typeof unit === 'string' ? unit : unit(settings)

function dialOf({ id, words, settings }: Part, setting: string, dial: Dial): UnitDial {
  const unit = dialUnit(dial, settings)
  const marks = dial.marked ? dialMarks(settings) : []
  return {
    id: `${id}.${setting}`,
    words: `${words}: ${dial.words}`,
    unit,
    drawn: settings.text(setting),
    isFree: dial.ofUser ?? false,
    marks,
    choices:
      dial.choices ?? marks.map(({ mark, value }) => ({ id: mark, words: `${mark} (${value} ${unit})` })),
  }
}

/** Dials of a part that do anything on it. */
export const mattering = ({ kind, settings }: Part): readonly (readonly [setting: string, dial: Dial])[] =>
  Object.entries(kind.dials ?? {}).filter(([, { matters }]) => matters?.(settings) ?? true)

/** Everything on a unit that a person may find set otherwise than drawn. */
export const dialsOf = (diagram: Diagram): readonly UnitDial[] =>
  [...diagram.parts.values()].flatMap((part) =>
    mattering(part).map(([setting, dial]) => dialOf(part, setting, dial)),
  )

/** A dial by its name, also one that does nothing: somebody may have said something of it. */
function dialNamed(diagram: Diagram, id: string): UnitDial | undefined {
  const [of, setting] = id.split('.')
  const part = diagram.parts.get(of)
  const dial = part?.kind.dials?.[setting]
  return part && dial && dialOf(part, setting, dial)
}

/** A setting as one says it; its id where the unit has no such dial. */
export const dialWords = (diagram: Diagram, id: string): string => dialNamed(diagram, id)?.words ?? id

/** How a dial was found and what it was set to, or that it was left so. */
export const dialMove = (diagram: Diagram, id: string, from: string, to: string): string =>
  from === to
    ? `found at ${dialValue(diagram, id, from)}, left so`
    : `${dialValue(diagram, id, from)} → ${dialValue(diagram, id, to)}`

/** A value of a setting with its unit; of a mark or a choice, what it stands for. */
export function dialValue(diagram: Diagram, id: string, value: string): string {
  const { unit = '', marks = [], choices = [] } = dialNamed(diagram, id) ?? {}
  const said = dialSaid(marks, value) ?? value
  const choice = choices.find((each) => each.id === said)
  if (choice) return choice.words
  return unit && Number.isFinite(Number(value)) ? `${value} ${unit}` : value
}

/** What a setting may be said to be, as the end of a sentence. */
export function dialMayBe(diagram: Diagram, id: string): string {
  const { marks = [], choices = [] } = dialNamed(diagram, id) ?? {}
  return marks.length === 0 && choices.length > 0
    ? `one of: ${choices.map(({ words }) => words).join(', ')}`
    : 'a number, or a mark that its dial has'
}

/** A setting as it is said, brought to what the dial shows; null where such a dial cannot stand there. */
export function settingSaid(part: Part, setting: string, said: string): string | null {
  const dial = part.kind.dials?.[setting]
  if (dial?.choices) return choiceSaid(dial.choices, said)
  if (typeof part.kind.settings[setting] !== 'number') return said
  return dialSaid(dial?.marked ? dialMarks(part.settings) : [], said)
}

function choiceSaid(choices: readonly DialChoice[], said: string): string | null {
  const plain = said.trim().toLowerCase()
  return choices.find(({ id, words }) => [id, words].some((each) => each.toLowerCase() === plain))?.id ?? null
}
