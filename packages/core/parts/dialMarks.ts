import type { Settings } from './settings'

/** A mark on a dial, and what its maker’s table says that it stands for. */
export interface DialMark {
  readonly mark: string
  readonly value: number
}

/** The setting in which a part has the table of its dial’s marks, as `A 73, B 70`; empty where it has none. */
export const marksSetting = 'dialMarks'

const marksKnown = new WeakMap<Settings, readonly DialMark[]>()

/**
 * The marks of a dial that shows letters or numbers of its own; asked for each time that its part acts.
 * Throws where the table is not understood.
 */
export function dialMarks(settings: Settings): readonly DialMark[] {
  const marks = marksKnown.get(settings) ?? marksRead(settings)
  marksKnown.set(settings, marks)
  return marks
}

const marksRead = (settings: Settings): readonly DialMark[] =>
  settings.list(marksSetting).map((pair) => {
    const [mark = '', value = '', ...rest] = pair.trim().split(/\s+/)
    if (mark === '' || value === '' || rest.length > 0 || !Number.isFinite(Number(value)))
      throw new TypeError(
        `${settings.part}: “${pair.trim()}” is no mark of a dial; write it as in “A 73, B 70, C 67”`,
      )
    return { mark, value: Number(value) }
  })

/** The mark or number that somebody says, as the dial has it; null when it has no such mark. */
export function dialSaid(marks: readonly DialMark[], said: string): string | null {
  const plain = said.trim()
  const isIt = ({ mark, value }: DialMark): boolean =>
    mark.toUpperCase() === plain.toUpperCase() || String(value) === plain
  const known = marks.find(isIt)?.mark
  return known ?? (plain !== '' && Number.isFinite(Number(plain)) ? plain : null)
}

/** What a dial stands at in its unit, whether it shows that or a mark. Throws where it has no such mark. */
export function dialledNumber(settings: Settings, setting: string): number {
  const said = settings.text(setting)
  const marked = dialMarks(settings).find(({ mark }) => mark === said)?.value
  const value = marked ?? Number(said)
  if (!Number.isFinite(value))
    throw new TypeError(
      `${settings.part}: the dial for “${setting}” has no mark “${said}”; it has: ${markNames(settings)}`,
    )
  return value
}

const markNames = (settings: Settings): string =>
  dialMarks(settings)
    .map(({ mark }) => mark)
    .join(', ') || 'numbers only'
