import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'
import { putsRight } from '@jokulgale/core/diagnosis/putsRight'
import { complaintSaid } from '@jokulgale/core/visit/complaintSaid'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { proofSheets } from '@jokulgale/core/visit/proofSheet'
import { sheetRead } from '@jokulgale/core/visit/sheetRead'
import { atArrival } from '@jokulgale/core/visit/standing'
import type { World } from '@jokulgale/core/world/world'
import { search, type Searching } from './search'

/** How a search for several faults went, one repaired after another. */
export interface Repaired {
  /** Every fault was among what was repaired. */
  readonly all: boolean
  /** Something good was taken out that was given 0.9. */
  readonly confidentAndWrong: boolean
  readonly steps: number
}

const mostRepairs = 5
const confident = 0.9

/**
 * Finds a suspect, repairs it, proves the unit and goes on with what fails still. A unit that runs as it
 * should in every call is left: what does not show then would be another call.
 */
export function searchAndRepair(world: World, model: UnitModel, searching: Searching): Repaired {
  const { classes, complaint } = searching
  let entries: readonly EntryBody[] = []
  let steps = 0
  let confidentAndWrong = false
  for (let repairs = 0; ; repairs++) {
    if (world.failing().length === 0) return { all: true, confidentAndWrong, steps }
    if (repairs >= mostRepairs) return { all: false, confidentAndWrong, steps }
    const found = search(world, searching, entries)
    steps += found.steps
    const { ranked } = found.diagnosis
    const [suspect] = found.diagnosis.model.hypotheses[ranked[0]].faults
    if (suspect === undefined) return { all: false, confidentAndWrong, steps }
    const isIt = putsRight(model, classes, suspect)
    const of = world.left.find(isIt)?.of ?? suspect.of
    const before = world.left.length
    const putBack = world.repair(isIt)
    if (world.left.length === before && found.lead.probability >= confident) confidentAndWrong = true
    entries = [
      ...found.entries,
      { kind: 'power', is: 'on' },
      { kind: 'repair', of },
      ...putBack.filter((part) => part !== of).map((part) => putBackEntry(world, part)),
      ...proofsOf(world, complaint),
    ]
  }
}

/** A breaker is reset, a fuse is renewed. */
function putBackEntry({ diagram }: World, of: string): EntryBody {
  const part = diagram.parts.get(of)
  const isReset = part?.kind.faults(part.settings).some(({ clears }) => clears?.includes('reset'))
  return isReset ? { kind: 'action', do: 'reset', of } : { kind: 'repair', of }
}

/** The sheets of the calls that fail still, as they are read, and the unit in the first of those calls. */
function proofsOf(world: World, complaint: string): readonly EntryBody[] {
  const { diagram } = world
  const failing = world.failing().map(({ call }) => call)
  const about = complaintSaid(diagram, complaint)?.call ?? ''
  const proofs = proofSheets(diagram, {})
    .filter(({ call }) => failing.includes(call))
    .map((sheet) =>
      sheetRead(sheet, ({ meter, from, to }) =>
        world.measure(atArrival(diagram, sheet.call), meter, from, to),
      ),
    )
  const [next] = failing.includes(about) ? [about] : failing
  return next === undefined ? [] : [...proofs, { kind: 'call', call: next }]
}
