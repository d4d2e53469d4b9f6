import type { Fault } from '../parts/effect'
import { complaintSaid } from '../visit/complaintSaid'
import type { EntryBody } from '../visit/entry'
import { proofSheets } from '../visit/proofSheet'
import type { UnitModel } from './predictor'
import { putsRight } from './putsRight'
import { sheetRead } from '../visit/sheetRead'
import { atArrival } from '../visit/standing'
import { playTrial, trueValue, type TrialOptions } from './trial'

/**
 * How a search for several faults went: which parts were repaired in turn, and whether every fault was among
 * them.
 */
export interface Repairs {
  readonly repaired: readonly string[]
  readonly all: boolean
  /** Readings and looks asked for. */
  readonly steps: number
  /** Readings taken in proof, before the unit was called right. */
  readonly proofReadings: number
}

const mostRepairs = 4

/**
 * Finds and repairs one suspect after another. Where nothing more is suspected the proof sheet is read, and
 * the search
 * goes on for what it shows. A fault counts as found when a suspect of its class is repaired. `truth` names a
 * pair.
 */
export function playRepairs(
  model: UnitModel,
  truth: number,
  complaint: string,
  options: TrialOptions,
): Repairs {
  const { classes } = options
  const numberOf = (id: string): number => model.hypotheses.findIndex((hypothesis) => hypothesis.id === id)
  let left: readonly Fault[] = model.hypotheses[truth].faults
  const repaired: string[] = []
  let entries: readonly EntryBody[] = []
  let steps = 0
  let proofReadings = 0
  let proven = false
  for (;;) {
    const now = left.length > 1 ? truth : left.length === 0 ? 0 : numberOf(left[0].id)
    const trial = playTrial(model, now, complaint, options, entries)
    steps += trial.steps
    entries = trial.entries
    const leader = model.hypotheses[trial.ranked[0]]
    const [suspect] = leader.faults.filter(({ of }) => !repaired.includes(of))
    if (suspect === undefined) {
      if (proven) return { repaired, all: left.length === 0, steps, proofReadings }
      const proof = proofOf(model, now, complaint)
      proofReadings += proof.read
      if (proof.right) return { repaired, all: left.length === 0, steps, proofReadings }
      proven = true
      entries = [...entries, ...proof.entries]
      continue
    }
    if (repaired.length >= mostRepairs) return { repaired, all: false, steps, proofReadings }
    const isIt = putsRight(model, classes, suspect)
    const of = left.find(isIt)?.of ?? suspect.of
    repaired.push(of)
    left = left.filter((fault) => !isIt(fault))
    if (left.length === 0) return { repaired, all: true, steps, proofReadings }
    proven = false
    entries = [...entries, { kind: 'power', is: 'on' }, { kind: 'repair', of }]
  }
}

/** The proof sheets read on a unit as it truly is. */
function proofOf(
  model: UnitModel,
  truth: number,
  complaint: string,
): { readonly entries: readonly EntryBody[]; readonly right: boolean; readonly read: number } {
  const home = complaintSaid(model.diagram, complaint)?.call ?? model.diagram.calls[0].id
  const proofs = proofSheets(model.diagram, {}).map((sheet) =>
    sheetRead(sheet, (at) => trueValue(model, truth, atArrival(model.diagram, sheet.call), at)),
  )
  return {
    entries: [{ kind: 'power', is: 'on' }, ...proofs, { kind: 'call', call: home }],
    right: proofs.every(({ passed }) => passed),
    read: proofs.reduce((sum, { values }) => sum + (values?.length ?? 0), 0),
  }
}
