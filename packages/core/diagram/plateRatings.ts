import type { PartKind } from '../parts/kind'
import type { Diagram, Part } from './diagram'
import type { LadderEdit } from './editLadder'
import { plateUnits } from './plateUnits'
import { readLadder } from './readLadder'

/** One figure of a plate: of which part, and what the circuit has for it. */
export interface PlateRating {
  readonly part: string
  /** Words of the part and of the rating: “Blower motor, amps”. */
  readonly words: string
  readonly setting: string
  readonly value: number
  readonly unit: string
  /** False: only what is usual for such a unit. */
  readonly isRead: boolean
}

/** In the order of a plate: what feeds it, what turns, what heats, what gives and guards its control power, the rest. */
const plateOrder = [
  ({ symbol }: PartKind) => symbol === 'switch',
  ({ symbol }: PartKind) => symbol === 'motor',
  ({ symbol }: PartKind) => symbol === 'heater',
  ({ fullLoadAmps }: PartKind) => fullLoadAmps !== undefined,
  ({ overcurrent }: PartKind) => overcurrent !== undefined,
  () => true,
]

const placeOnPlate = ({ kind }: Part): number => plateOrder.findIndex((fits) => fits(kind))

/** Every figure that a plate of this unit may give, in the order of a plate. */
export const plateRatings = (diagram: Diagram): readonly PlateRating[] =>
  [...diagram.parts.values()]
    .sort((a, b) => placeOnPlate(a) - placeOnPlate(b))
    .flatMap(({ id, kind, words, settings }) =>
      (kind.ratings ?? []).flatMap(([setting, rated]): readonly PlateRating[] =>
        setting in plateUnits
          ? [
              {
                part: id,
                setting,
                words: `${words}, ${rated.toLowerCase()}`,
                value: settings.number(setting),
                unit: plateUnits[setting],
                isRead: !settings.isUnread(setting),
              },
            ]
          : [],
      ),
    )

/** A ladder text with one rating as its plate says, or, with null, as nobody has read it. */
export function rate(
  text: string,
  diagram: Diagram,
  part: string,
  setting: string,
  value: number | null,
): LadderEdit {
  const of = diagram.parts.get(part)
  if (!of || !(setting in of.kind.settings)) return { is: 'problem', message: `${part} has no ${setting}` }
  if (value !== null && !(Number.isFinite(value) && value > 0))
    return { is: 'problem', message: 'a rating is a number above 0, as 15.8' }
  const written = value === null ? `${of.settings.number(setting)}?` : String(value)
  const lines = text.split('\n')
  const at = of.line - 1
  const line = lines[at] ?? ''
  const [, before, comment] = /^(.*?)(\s*#[^"]*)?$/.exec(line) ?? ['', line, '']
  const there = new RegExp(`((?:: *|, *)${setting} +)[^,"\\s]+`)
  const hasSettings = /" in [a-z][a-z0-9-]*\s*:/.test(before)
  const after = there.test(before)
    ? before.replace(there, (_, lead: string) => `${lead}${written}`)
    : `${before.trimEnd()}${hasSettings ? ',' : ' :'} ${setting} ${written}`
  return {
    is: 'text',
    text: lines.map((each, k) => (k === at ? `${after}${comment ?? ''}` : each)).join('\n'),
  }
}

/** A ladder text whose ratings are only what is usual: for a unit whose plate nobody has read. */
export const withPlateUnread = (text: string): string => {
  const diagram = readLadder(text)
  return plateRatings(diagram).reduce((now, { part, setting }) => {
    const edit = rate(now, diagram, part, setting, null)
    return edit.is === 'text' ? edit.text : now
  }, text)
}
