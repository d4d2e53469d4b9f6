import { partWords, pointName, type Diagram } from '../diagram/diagram'
import { dialMove, dialWords } from '../diagram/dials'
import { addendumWords } from './entryWords'
import { settingWords } from '../parts/settingWords'
import { entriesOf, type Of } from './fold'
import { openCauses } from './openCauses'
import { proofDigits } from './proofLine'
import { restoredItems } from './restoredItems'
import { callOfLine, line, type ReportSection } from './reportLine'
import { seenOpen } from './seenOpen'
import { temporaryWords } from './temporary'
import { closingProblems, type VisitState } from './visitState'

export function repair(state: VisitState, diagram: Diagram): ReportSection {
  return {
    title: 'Repair',
    none: 'None.',
    lines: [
      ...state.goAheads.map(({ body }) => line('Go-ahead', body.by, body.words)),
      ...state.repairs.map(({ body }) =>
        line(
          partWords(diagram, body.of),
          seenOpen(state, body.of) ? 'renewed' : 'repaired',
          body.trippedBy ? `it had been tripped by: ${body.trippedBy}` : '',
        ),
      ),
      ...openCauses(state).map(({ body }) => line(partWords(diagram, body.of), 'not repaired on this visit')),
      ...state.partsUsed.map(({ body }) =>
        line(
          `Part: ${partWords(diagram, body.of)}`,
          body.dateCode ? `date code ${body.dateCode}` : '',
          [body.words, ...ratingsOf(diagram, body)].filter(Boolean).join('; '),
        ),
      ),
      ...state.settings.map(({ body: { of, from, to } }) =>
        line(dialWords(diagram, of), dialMove(diagram, of, from, to)),
      ),
      ...state.rewirings.flatMap(({ body }) => [
        line('Wired as planned', '', body.words),
        ...body.done.map((done, k) => line(`Wiring, ${k + 1}`, '', done)),
      ]),
      ...state.diagramChanges.map(({ body }) =>
        line(`Wiring changed for good: ${partWords(diagram, body.of)}`, '', body.words),
      ),
    ],
  }
}

/** The ratings of a part that was fitted, as its plate has them. */
const ratingsOf = (diagram: Diagram, { of, rating }: Of<'part-used'>): readonly string[] =>
  Object.entries(rating)
    .filter(([, value]) => value.trim() !== '')
    .map(([setting, value]) => `${settingWords(diagram.parts.get(of)?.kind, setting)} ${value}`)

/** Each lockout: what was locked, and every leg as it was measured dead where hands went. */
export function lockouts(state: VisitState): readonly ReportSection[] {
  const lines = entriesOf(state.entries, 'isolation').map(({ body }) =>
    line(
      ['Locked and proven dead', body.where].filter(Boolean).join(' at '),
      body.sources.join(', '),
      [
        ...body.legs.map(({ from, to, volts }) => `${from} to ${pointName(to)} ${volts} V`),
        `tester proven ${body.testerBefore && body.testerAfter ? 'before and after' : 'not both before and after'}`,
      ].join('; '),
    ),
  )
  return lines.length > 0 ? [{ title: 'Isolation', none: '', lines }] : []
}

export function proof(state: VisitState, diagram: Diagram): ReportSection {
  const unproven = diagram.calls.filter(
    ({ id }) => !state.proofs.some(({ body }) => body.call === id && body.passed),
  )
  const undone = restoredItems(diagram).filter(({ id }) => state.restored.get(id) !== true)
  return {
    title: 'Proof',
    none: 'Nothing was proven.',
    lines: [
      ...state.proofs.map(({ body }) =>
        line(
          callOfLine(diagram, body.call),
          body.passed ? 'right' : 'not right',
          [
            body.words,
            ...(body.values ?? []).map(
              ({ what, value, typed, unit, expected }) =>
                `${what}: ${typed ?? value} ${unit}${expected === undefined ? '' : ` (should ${proofDigits(expected, unit)})`}`,
            ),
          ]
            .filter(Boolean)
            .join('; '),
        ),
      ),
      ...(unproven.length > 0
        ? [line(`Not proven on this visit: ${unproven.map(({ words }) => words.toLowerCase()).join(', ')}.`)]
        : []),
      ...(state.signOff && undone.length > 0
        ? [line(`Not ticked: ${undone.map(({ words }) => words.toLowerCase()).join('; ')}.`)]
        : []),
    ],
  }
}

export const leftInPlace = ({ measures }: VisitState): ReportSection => ({
  title: 'Left in place',
  none: 'Nothing.',
  lines: measures.map((measure) =>
    line(
      temporaryWords(measure),
      measure.left ? `until ${measure.left.expires}` : 'still on',
      measure.left
        ? `${measure.left.hazard}. ${measure.left.reason}. Authorised by ${measure.left.authorisedBy}; told: ${measure.left.told}`
        : '',
    ),
  ),
})

export function stillOpen(state: VisitState): ReportSection {
  return {
    title: 'Still open',
    none: 'Nothing.',
    lines: [
      ...state.defects.map(({ body }) =>
        line(
          body.words,
          body.recommend ? 'recommended' : '',
          [body.recommend, body.reason].filter(Boolean).join(': '),
        ),
      ),
      ...(state.signOff ? [] : closingProblems(state).map((problem) => line(problem))),
      ...state.support.map(({ body }) =>
        line('Support asked', '', [body.asked, body.advice].filter(Boolean).join(' → ')),
      ),
      ...state.notes.map(({ body }) => line(body.words)),
    ],
  }
}

/** What came after the sign-off, each under its own day. */
export function addedLater({ addenda }: VisitState, diagram: Diagram): ReportSection {
  return {
    title: 'Added after sign-off',
    none: '',
    lines: addenda.map((entry) =>
      line(addendumWords(entry.body, diagram), new Date(entry.clock.wall).toISOString().slice(0, 10)),
    ),
  }
}
