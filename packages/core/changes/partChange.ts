import { zoneWords, type Diagram } from '../diagram/diagram'
import { settingWords } from '../parts/settingWords'

/** A part that one circuit has and the other has not, or has set or rated differently. */
export type PartChange = { readonly part: string; readonly words: string } & (
  | { readonly is: 'fitted'; readonly where: string }
  | { readonly is: 'taken-out'; readonly where: string }
  | { readonly is: 'another-kind'; readonly was: string; readonly now: string }
  | { readonly is: 'set'; readonly setting: string; readonly was: string; readonly now: string }
)

/** The parts that differ between two circuits, with each setting that differs. */
export function partList(before: Diagram, after: Diagram): readonly PartChange[] {
  const takenOut = [...before.parts.values()]
    .filter(({ id }) => !after.parts.has(id))
    .map(({ id, words, zone }): PartChange => ({
      is: 'taken-out',
      part: id,
      words,
      where: zoneWords(before, zone),
    }))
  const others = [...after.parts.values()].flatMap((part): readonly PartChange[] => {
    const { id, words, zone, kind, settings } = part
    const was = before.parts.get(id)
    if (!was) return [{ is: 'fitted', part: id, words, where: zoneWords(after, zone) }]
    if (was.kind !== kind)
      return [{ is: 'another-kind', part: id, words, was: was.kind.words, now: kind.words }]
    return Object.keys(kind.settings)
      .filter((setting) => was.settings.text(setting) !== settings.text(setting))
      .map((setting) => ({
        is: 'set',
        part: id,
        words,
        setting: settingWords(kind, setting),
        was: was.settings.text(setting),
        now: settings.text(setting),
      }))
  })
  return [...takenOut, ...others]
}

/** A part’s change in words. */
export function partChangeWords(change: PartChange): string {
  const name = `${change.words} (${change.part})`
  switch (change.is) {
    case 'fitted':
      return `Fit ${name}, in ${change.where}`
    case 'taken-out':
      return `Take out ${name}, in ${change.where}`
    case 'another-kind':
      return `${name}: a ${change.now} where a ${change.was} was`
    case 'set':
      return `${name}: ${change.setting} ${change.now} instead of ${change.was}`
  }
}
