import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { faultsToTell, isolateAll } from '@jokulgale/core/diagnosis/isolate'
import { leastReadings, partingOf, type LeastReadings } from '@jokulgale/core/diagnosis/leastReadings'
import { readingTable } from '@jokulgale/core/diagnosis/readingTable'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { builtInUnitText } from '@jokulgale/core/units/index'

export interface UnitLimits {
  readonly id: string
  readonly classes: number
  /** Readings that part the classes, no two alike. */
  readonly readings: number
  /** Most outcomes of any one of them. */
  readonly outcomes: number
  /** Mean depth of the optimal tree with so many branches everywhere. */
  readonly boundReadings: number
  readonly least: LeastReadings
  /** Mean of the search by most information. */
  readonly bestReadings: number
  readonly seconds: number
}

/** After three readings a smaller share is not looked for. */
const floors = [0, 0, 0.3]

/** What the readings of a unit allow at the most, and what the search takes. */
export function limitsOf(id: string): UnitLimits {
  const start = performance.now()
  const model = modelOf(readLadder(builtInUnitText(id)))
  const rows = readingTable(model, 'tolerance')
  const parting = partingOf(
    rows,
    faultsToTell(model, rows),
    model.hypotheses.map(({ prior }) => prior),
  )
  const least = leastReadings(parting, floors)
  const { boundReadings, mostOutcomes, meanReadings } = isolateAll(model, 'best')
  return {
    id,
    classes: parting.weights.length,
    readings: parting.readings.length,
    outcomes: mostOutcomes,
    boundReadings,
    least,
    bestReadings: meanReadings,
    seconds: (performance.now() - start) / 1000,
  }
}
