import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import type { Call, Diagram } from '../diagram/diagram'

/** Two circuits of one unit, solved in a call that both have. */
export interface SolvedPair {
  readonly call: Call
  readonly was: Circuit
  readonly now: Circuit
}

/** Both circuits in every call that they share. */
export const solvedPairs = (before: Diagram, after: Diagram): readonly SolvedPair[] =>
  after.calls
    .filter(({ id }) => before.calls.some((call) => call.id === id))
    .map((call) => ({ call, was: solved(before, call), now: solved(after, call) }))

const solved = (diagram: Diagram, { id }: Call): Circuit => new Circuit(diagram, situationOf(diagram, id))
