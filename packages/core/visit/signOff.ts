import { callWords, partWords, type Diagram } from '../diagram/diagram'
import { complaintSaid } from './complaintSaid'
import type { Of } from './fold'
import { openCauses } from './openCauses'
import { temporaryWords, unsafeFindings } from './temporary'
import { needsReason } from './needsReason'
import { proofsSinceRepair } from './proofsSinceRepair'
import { proofWeakness, type StillMoves } from './proofStands'
import { withoutTrip } from './repairSteps'
import { supplyProblems, type ProofTaken, type VisitState } from './visitState'

/**
 * Why a visit cannot be signed off as repaired; empty when it can. The phone and the server ask the same; but
 * for delays, which have to be solved: the phone takes no proof while one runs, the server looks again.
 */
export function signOffProblems(
  state: VisitState,
  diagram: Diagram,
  stillMoves: StillMoves = () => false,
): readonly string[] {
  const open = state.measures.filter(({ left }) => left === null)
  const unrepaired = openCauses(state)
  const repaired = state.causes.filter((cause) => !unrepaired.includes(cause))
  const unlanded = state.leads.filter(({ landed }) => landed === null)
  const unsettled = state.alterations.filter(({ settled }) => settled === null)
  return [
    ...supplyProblems(state, diagram),
    ...unsafeFindings(diagram, state.entries).map(
      ({ words }) => `${words}. The unit stays off and somebody is told; this is no repair`,
    ),
    ...open.map(
      (measure) =>
        `${temporaryWords(measure)} is still on: take it off and say so, or leave it with hazard, reason, authoriser and end date`,
    ),
    ...unsettled.map(
      ({ body }) =>
        `${body.of}: found altered. Say whether it was corrected, is meant so, or the unit is left off`,
    ),
    ...unlanded.map(({ body }) => `Lead ${body.color} ${body.number} of ${body.terminal} is not back on`),
    ...standingProblems(state, diagram),
    ...unrepaired.map(
      ({ body }) =>
        `${causeWords(diagram, body)}: taken for the cause, and nothing says that it was repaired. ` +
        'Say what was done to it, under Repair',
    ),
    ...withoutTrip({ ...state, causes: repaired }, diagram).map(
      ({ body }) => `${causeWords(diagram, body)}: it tripped for a reason. Say what it was, under Repair`,
    ),
    ...proofProblems(state, diagram, stillMoves),
    ...(state.power === 'on' ? [] : ['The unit is switched off: switch it on and prove it']),
  ]
}

const causeWords = (diagram: Diagram, { of, words }: Of<'cause'>): string => words ?? partWords(diagram, of)

/** What was done to the unit and has not been undone: a lead off, a plug out, a stand-in. */
const standingProblems = ({ standing }: VisitState, diagram: Diagram): readonly string[] => [
  ...standing.actions.flatMap(({ verb, of }) => {
    if (verb === 'lift') return [`The lead at ${of} is still off: land it and say so`]
    return verb === 'unplug' ? [`${partWords(diagram, of)} is still out: plug it in and say so`] : []
  }),
  ...standing.standIns.map(
    (id) =>
      `${partWords(diagram, id)}: a stand-in is in its place. Fit the fuse of the right size and say so`,
  ),
]

/** New wiring is proven in each of the calls that it was worked out to touch, and not in one of them. */
function wiringUnproven(
  { rewirings }: VisitState,
  diagram: Diagram,
  said: readonly ProofTaken[],
): readonly string[] {
  const proven = new Set(said.map(({ body }) => body.call))
  const missing = new Set(rewirings.flatMap(({ body }) => body.prove).filter((call) => !proven.has(call)))
  return missing.size === 0
    ? []
    : [`The new wiring is not proven in: ${[...missing].map((call) => callWords(diagram, call)).join(', ')}`]
}

/** A repair is proven by what was read after it, with the power back on, in the call that was complained of. */
function proofProblems(state: VisitState, diagram: Diagram, stillMoves: StillMoves): readonly string[] {
  const since = proofsSinceRepair(state)
  if (since === null) return ['No repair is recorded: sign off as restricted or left off, or record it']
  // of each call what was said last
  const last = new Map(since.map((proof) => [proof.body.call, proof]))
  const said = [...last.values()].filter(({ body }) => body.passed)
  if (said.length === 0)
    return [
      'The repair is not proven: run the call and record its proof, after the last repair and with the power on',
    ]
  const home = complaintSaid(diagram, state.complaint)
  const ofHome = home ? said.filter(({ body }) => home.calls.includes(body.call)) : said
  if (home && ofHome.length === 0)
    return [`What was complained of is not proven: run “${callWords(diagram, home.call)}”`]
  const unproven = wiringUnproven(state, diagram, said)
  if (unproven.length > 0) return unproven
  // what else was proven is beside it
  const weaknesses = ofHome.map((proof) => proofWeakness(state, diagram, proof, stillMoves))
  if (!weaknesses.includes('')) return weaknesses.slice(-1)
  return said
    .flatMap(({ body: { call } }) => needsReason(since, call))
    .map((what) => `${what} is not as it should be: say why it is left so`)
}
