import { placeFields, type FieldChange, type PlaceEdit, type PlaceKind } from './placeEdit'
import type { FoldedPlace } from './foldPlace'

/** What is wrong with a field, for the person who typed it. */
export interface FieldProblem {
  readonly field: string
  readonly message: string
}

const mostLetters: Readonly<Record<string, number>> = { access: 2000, address: 500 }
const usualMost = 200
const needed: Readonly<Record<PlaceKind, Readonly<Record<string, string>>>> = {
  site: { name: 'a site needs a name' },
  unit: {
    label: 'a unit needs a label, as on its door: RTU-3',
    site: 'say which site the unit is on',
    diagram: 'choose the circuit that the unit has',
  },
}
const firstYear = 1950
const isoDay = /^(\d{4})-(\d{2})-(\d{2})$/

/** Whether a text is a day that exists, not before anything of the kind was built: `2014-05-12`. */
export function isDay(text: string, lastYear: number): boolean {
  const [whole, year, month, day] = isoDay.exec(text) ?? []
  if (whole === undefined) return false
  const date = new Date(`${whole}T00:00:00Z`)
  const exists =
    !Number.isNaN(date.getTime()) &&
    date.getUTCMonth() + 1 === Number(month) &&
    date.getUTCDate() === Number(day)
  return exists && Number(year) >= firstYear && Number(year) <= lastYear
}

/** What is wrong with the changes of an edit by themselves. */
export function changeProblems(of: PlaceKind, changes: readonly FieldChange[]): readonly FieldProblem[] {
  const known: readonly string[] = placeFields[of]
  return changes.flatMap(({ field, to }): readonly FieldProblem[] => {
    const most = mostLetters[field] ?? usualMost
    if (!known.includes(field)) return [{ field, message: `a ${of} has no field “${field}”` }]
    if (to.length > most) return [{ field, message: `${field}: at most ${most} letters` }]
    if (field === 'archived' && to !== '' && to !== 'yes')
      return [{ field, message: 'archived is yes or empty' }]
    if (field === 'installed' && to !== '' && !isDay(to, new Date().getUTCFullYear() + 1))
      return [{ field, message: 'installed: write the day as 2014-05-12, or leave it empty' }]
    return []
  })
}

/** What a place still lacks as its edits leave it. */
export const lacking = (of: PlaceKind, place: FoldedPlace): readonly FieldProblem[] =>
  Object.entries(needed[of]).flatMap(([field, message]) =>
    (place[field]?.value ?? '').trim() === '' ? [{ field, message }] : [],
  )

/** The fields that an edit changes, as one that makes a place anew does. */
export const asChanges = (values: Readonly<Record<string, string>>): PlaceEdit['changes'] =>
  Object.entries(values)
    .filter(([, to]) => to !== '')
    .map(([field, to]) => ({ field, from: '', to }))
