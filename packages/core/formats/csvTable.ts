import Papa from 'papaparse'

/** Columns of a table: what each is called, and which it cannot be without. */
export interface TableColumns<Column extends string> {
  /** Names that people give them beside, in small letters. */
  readonly calledBy: Readonly<Record<Column, readonly string[]>>
  readonly needed: readonly Column[]
  readonly mostRows: number
}

/** A row of a table: what stands in each of its columns, empty where it has none. */
export type TableRow<Column extends string> = (column: Column) => string

/** Number of a row as a spreadsheet shows it: the heads are the first. */
export const rowNumber = (k: number): number => k + 2

/**
 * Reads a table of comma-separated values (RFC 4180; semicolons and tabs too) with a row of heads, known by their names
 * in any order. What cannot be used is refused in the format's own words.
 */
export function csvTable<Column extends string>(
  text: string,
  { calledBy, needed, mostRows }: TableColumns<Column>,
  refuse: (problem: string) => Error,
): readonly TableRow<Column>[] {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: true })
  const [unread] = errors.filter(({ type }) => type !== 'Delimiter')
  if (unread) throw refuse(`row ${(unread.row ?? 0) + 1}: ${unread.message}`)
  const [heads = [], ...rows] = data
  const words = heads.map((head) => head.trim().toLowerCase())
  const place = (column: Column): number => words.findIndex((word) => calledBy[column].includes(word))
  const missing = needed.filter((column) => place(column) < 0)
  if (missing.length > 0)
    throw refuse(
      `row 1: no column ${missing.join(', ')}; a list has the columns ${Object.keys(calledBy).join(', ')}`,
    )
  if (rows.length === 0) throw refuse('the list has heads and nothing below them')
  if (rows.length > mostRows) throw refuse(`more than ${mostRows} rows: give one unit’s`)
  return rows.map((cells) => (column) => (cells[place(column)] ?? '').trim())
}
