import type { Diagram } from '../diagram/diagram'
import { unsafeFindings } from './temporary'
import { asFound, cause, complaint, conditions, workedOut } from './reportFound'
import { addedLater, leftInPlace, lockouts, proof, repair, stillOpen } from './reportDone'
import { reportHead, type ReportAbout, type ReportHead } from './reportHead'
import type { ReportSection } from './reportLine'
import type { VisitState } from './visitState'

export type { ReportLine, ReportSection } from './reportLine'

/** A visit's report, for the page, the printer and other programs alike. */
export interface Report {
  readonly head: ReportHead
  readonly headline: string
  /** For the building, in plain words. */
  readonly plain: string
  readonly unsafe: readonly string[]
  readonly sections: readonly ReportSection[]
  /** Who signed for it, and the strokes of the hand as the data of an SVG path; null: nobody. */
  readonly signed: { readonly by: string; readonly strokes: string } | null
  readonly caution: string
}

export const outcomeWords = {
  repaired: 'Repaired and proven',
  restricted: 'Left with restricted service',
  'left-off': 'Left off',
} as const

/** Puts a visit into a report: as found, cause and what shows it, repair, proof, what is still open. */
export function reportOf(state: VisitState, diagram: Diagram, about: ReportAbout): Report {
  const unsafe = unsafeFindings(diagram, state.entries).map(({ words }) => words)
  const signOff = state.signOff?.body
  return {
    head: reportHead(state, diagram, about),
    headline:
      unsafe.length > 0
        ? 'Unsafe: not to be run'
        : signOff
          ? outcomeWords[signOff.outcome]
          : 'Visit still open',
    plain: signOff?.words ?? '',
    unsafe,
    sections: [
      complaint(state, diagram),
      ...conditions(state),
      asFound(state, diagram),
      ...workedOut(state, diagram),
      cause(state, diagram),
      ...lockouts(state),
      repair(state, diagram),
      proof(state, diagram),
      leftInPlace(state),
      stillOpen(state),
      ...(state.addenda.length > 0 ? [addedLater(state, diagram)] : []),
    ],
    signed: signOff?.signedBy ? { by: signOff.signedBy, strokes: signOff.signature ?? '' } : null,
    caution:
      'Expected values are solved from the unit’s diagram; the nameplate, the manufacturer and local code come first.',
  }
}
