import type { UnitModel } from './predictor'
import { readingTable } from './readingTable'

/** Numbers the groups of hypotheses that no reading of any call, and no ohms isolated, can part; by hypothesis number. */
export function classesOf(model: UnitModel): Int32Array {
  const rows = readingTable(model, 'tolerance')
  const known = new Map<string, number>()
  return Int32Array.from({ length: model.singles }, (_, h) => {
    const key = rows.map(({ outcome }) => outcome[h]).join()
    const number = known.get(key) ?? known.size
    known.set(key, number)
    return number
  })
}
