import { isDay } from './placeProblems'

/** What a list of units may say of each; label and site it must. */
export const unitColumns = [
  'site',
  'address',
  'label',
  'place',
  'circuit',
  'make',
  'serial',
  'installed',
] as const
export type UnitColumn = (typeof unitColumns)[number]

/** Which column of the list holds what; −1: none does. */
export type ColumnMapping = Readonly<Record<UnitColumn, number>>

/** What people call these columns. */
const calledBy: Readonly<Record<UnitColumn, readonly string[]>> = {
  site: ['site', 'building', 'property', 'customer'],
  address: ['address', 'street'],
  label: ['label', 'unit', 'tag', 'name', 'equipment'],
  place: ['place', 'location', 'serves', 'where'],
  circuit: ['circuit', 'type', 'kind', 'diagram'],
  make: ['make', 'model', 'manufacturer'],
  serial: ['serial', 'serial number', 'serial no'],
  installed: ['installed', 'date', 'year', 'commissioned'],
}

/** Which column is which, as far as their heads tell. */
export function mappingOf(heads: readonly string[]): ColumnMapping {
  const words = heads.map((head) => head.trim().toLowerCase())
  const place = (column: UnitColumn): number => {
    const exact = words.findIndex((word) => calledBy[column].includes(word))
    return exact >= 0
      ? exact
      : words.findIndex((word) => calledBy[column].some((name) => word.startsWith(name)))
  }
  return Object.fromEntries(unitColumns.map((column) => [column, place(column)])) as ColumnMapping
}

/** A circuit that a row may name, by its title or identity. */
interface NamedCircuit {
  readonly id: string
  readonly title: string
}

/** A row of the list as it would be kept, or what is wrong with it. */
export interface ListedUnit {
  /** Number of the row in the list, the first after the heads being 2 as in a table. */
  readonly row: number
  readonly values: Readonly<Record<UnitColumn, string>>
  /** The circuit that it gets. */
  readonly diagram: string
  readonly problems: readonly string[]
}

const mostLetters = 200

/** Reads the rows of a list under a mapping. `usual` is the circuit of rows that name none; empty: each must. */
export function listedUnits(
  rows: readonly (readonly string[])[],
  mapping: ColumnMapping,
  circuits: readonly NamedCircuit[],
  usual: string,
  lastYear: number,
): readonly ListedUnit[] {
  const byName = new Map(
    circuits.flatMap(({ id, title }) => [
      [id.toLowerCase(), id],
      [title.toLowerCase(), id],
    ]),
  )
  const seen = new Map<string, number>()
  return rows.map((cells, k) => {
    const row = k + 2
    const values = Object.fromEntries(
      unitColumns.map((column) => [column, (cells[mapping[column]] ?? '').trim()]),
    ) as Record<UnitColumn, string>
    values.installed = dayOf(values.installed)
    const diagram = values.circuit === '' ? usual : (byName.get(values.circuit.toLowerCase()) ?? '')
    const twin = `${values.site}\n${values.label}`.toLowerCase()
    const before = seen.get(twin)
    seen.set(twin, before ?? row)
    return { row, values, diagram, problems: problemsOf(values, diagram, before, lastYear) }
  })
}

/** A year alone is its first day: lists seldom say more. */
const dayOf = (text: string): string => (/^\d{4}$/.test(text) ? `${text}-01-01` : text)

function problemsOf(
  values: Readonly<Record<UnitColumn, string>>,
  diagram: string,
  twin: number | undefined,
  lastYear: number,
): readonly string[] {
  const tooLong = unitColumns.filter((column) => values[column].length > mostLetters)
  return [
    values.site === '' ? 'no site' : '',
    values.label === '' ? 'no label' : '',
    values.circuit !== '' && diagram === '' ? `no circuit is called “${values.circuit}”` : '',
    values.circuit === '' && diagram === '' ? 'no circuit' : '',
    values.installed !== '' && !isDay(values.installed, lastYear)
      ? `“${values.installed}” is no day: write 2014-05-12`
      : '',
    twin === undefined ? '' : `the same unit as row ${twin}`,
    ...tooLong.map((column) => `${column} is longer than ${mostLetters} letters`),
  ].filter(Boolean)
}
