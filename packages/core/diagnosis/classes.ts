import type { UnitModel } from './predictor'
import { readingTable, type TableRow } from './readingTable'

/** Numbers the groups of hypotheses that no row parts, in the order of the members. */
export function classNumbers(
  rows: readonly Pick<TableRow, 'outcome'>[],
  members: readonly number[],
): Int32Array {
  const known = new Map<string, number>()
  return Int32Array.from(members, (h) => {
    const key = rows.map(({ outcome }) => outcome[h]).join()
    const number = known.get(key) ?? known.size
    known.set(key, number)
    return number
  })
}

/**
 * Numbers the groups of hypotheses that no reading of any call, and no ohms isolated, can part; by hypothesis
 * number.
 */
export const classesOf = (model: UnitModel): Int32Array =>
  classNumbers(readingTable(model, 'tolerance'), model.everySingle)
