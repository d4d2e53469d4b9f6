import { display } from '../circuit/meter'
import { partWords, type Diagram } from '../diagram/diagram'
import { addendumWords } from './addendum'
import { entriesOf } from './fold'
import { seenWords } from './seenWords'
import { closingProblems, type VisitState } from './visitState'
import { restoredItems } from './proofSheet'
import { alterationWords, temporaryWords, unsafeFindings } from './temporary'

export interface ReportLine {
  readonly left: string
  readonly right: string
  readonly small: string
}

export interface ReportSection {
  readonly title: string
  readonly lines: readonly ReportLine[]
  /** Said where there is nothing to list. */
  readonly none: string
}

/** A visit's report, for the page, the printer and other programs alike. */
export interface Report {
  readonly headline: string
  /** For the building, in plain words. */
  readonly plain: string
  readonly unsafe: readonly string[]
  readonly sections: readonly ReportSection[]
  readonly caution: string
}

export const outcomeWords = {
  repaired: 'Repaired and proven',
  restricted: 'Left with restricted service',
  'left-off': 'Left off',
} as const

const line = (left: string, right = '', small = ''): ReportLine => ({ left, right, small })

/** Puts a visit into a report: as found, cause and what shows it, repair, proof, what is still open. */
export function reportOf(state: VisitState, diagram: Diagram): Report {
  const unsafe = unsafeFindings(diagram, state.entries).map(({ words }) => words)
  return {
    headline:
      unsafe.length > 0
        ? 'Unsafe: not to be run'
        : state.signOff
          ? outcomeWords[state.signOff.body.outcome]
          : 'Visit still open',
    plain: state.signOff?.body.words ?? '',
    unsafe,
    sections: [
      complaint(state, diagram),
      asFound(state, diagram),
      ...workedOut(state, diagram),
      cause(state, diagram),
      repair(state, diagram),
      proof(state, diagram),
      leftInPlace(state),
      stillOpen(state),
      ...(state.addenda.length > 0 ? [addedLater(state, diagram)] : []),
    ],
    caution:
      'Expected values are solved from the unit’s diagram; the nameplate, the manufacturer and local code come first.',
  }
}

const callWords = (diagram: Diagram, id: string | null): string =>
  diagram.calls.find((call) => call.id === id)?.words ?? ''

function complaint(
  { complaint: said, complaintWords, controls }: VisitState,
  diagram: Diagram,
): ReportSection {
  const control = controls
    ? [
        line(
          `Controlled by: ${controls.by.replace('-', ' ')}`,
          controls.confirmed ? 'confirmed' : '',
          controls.telephone ?? '',
        ),
      ]
    : []
  return {
    title: 'Complaint',
    none: 'None recorded.',
    lines: [
      line(diagram.complaints.find(({ id }) => id === said)?.words ?? said, '', complaintWords),
      ...control,
    ],
  }
}

function asFound(state: VisitState, diagram: Diagram): ReportSection {
  const firstCall = diagram.complaints.find(({ id }) => id === state.complaint)?.call ?? null
  return {
    title: 'As found',
    none: 'No readings were taken.',
    lines: [
      ...[...state.firstLook.values()]
        .filter(({ body }) => body.is === 'wrong')
        .map(({ body }) => line(body.words ?? body.item, 'wrong')),
      ...state.alterations.map(({ body, settled }) =>
        line(
          alterationWords(body),
          settled?.as ?? 'not settled',
          [body.hazard, body.owner ? `owner: ${body.owner}` : ''].filter(Boolean).join('; '),
        ),
      ),
      ...state.observations.map(({ body }) =>
        line(
          partWords(diagram, body.of),
          body.what === 'code' ? `code ${body.words ?? ''}` : seenWords(body.what),
        ),
      ),
      ...state.readings.map(({ body, call, power }) =>
        line(
          `${body.from} to ${body.to ?? diagram.common}`,
          display(body.value, body.meter),
          power === 'on' ? callWords(diagram, call ?? firstCall) : 'isolated',
        ),
      ),
    ],
  }
}

/** What came after the sign-off, each under its own day. */
function addedLater({ addenda }: VisitState, diagram: Diagram): ReportSection {
  return {
    title: 'Added after sign-off',
    none: '',
    lines: addenda.map((entry) =>
      line(addendumWords(entry, diagram), new Date(entry.clock.wall).toISOString().slice(0, 10)),
    ),
  }
}

function workedOut(state: VisitState, diagram: Diagram): readonly ReportSection[] {
  const lines = entriesOf(state.entries, 'calculation').map(({ body }) =>
    line(
      [body.tool, body.of ? partWords(diagram, body.of) : ''].filter(Boolean).join(', '),
      body.words,
      [...body.given, ...body.found].map(({ what, value }) => `${what} ${value}`).join('; '),
    ),
  )
  return lines.length > 0 ? [{ title: 'Worked out', none: '', lines }] : []
}

function cause(state: VisitState, diagram: Diagram): ReportSection {
  return {
    title: 'Cause',
    none: 'Not found on this visit.',
    lines: state.repairs.map(({ entry, body }) => {
      const before = state.readings
        .filter((reading) => reading.entry.clock.wall <= entry.clock.wall)
        .slice(-3)
      const shown = before
        .map((reading) => `${display(reading.body.value, reading.body.meter)} at ${reading.body.from}`)
        .join(', ')
      return line(body.words ?? partWords(diagram, body.of), '', shown ? `shown by ${shown}` : '')
    }),
  }
}

function repair(state: VisitState, diagram: Diagram): ReportSection {
  return {
    title: 'Repair',
    none: 'None.',
    lines: [
      ...state.goAheads.map(({ body }) => line('Go-ahead', body.by, body.words)),
      ...state.repairs.map(({ body }) => line(partWords(diagram, body.of), 'repaired')),
      ...state.partsUsed.map(({ body }) =>
        line(
          `Part: ${partWords(diagram, body.of)}`,
          body.dateCode ? `date code ${body.dateCode}` : '',
          [body.words, ...Object.entries(body.rating).map(([name, value]) => `${name} ${value}`)]
            .filter(Boolean)
            .join('; '),
        ),
      ),
      ...state.settings.map(({ body }) => line(`Setting: ${body.of}`, `${body.from} → ${body.to}`)),
      ...state.diagramChanges.map(({ body }) =>
        line(`Wiring changed for good: ${partWords(diagram, body.of)}`, '', body.words),
      ),
    ],
  }
}

function proof(state: VisitState, diagram: Diagram): ReportSection {
  const unproven = diagram.calls.filter(
    ({ id }) => !state.proofs.some(({ body }) => body.call === id && body.passed),
  )
  const undone = restoredItems.filter(({ id }) => state.restored.get(id) !== true)
  return {
    title: 'Proof',
    none: 'Nothing was proven.',
    lines: [
      ...state.proofs.map(({ body }) =>
        line(
          callWords(diagram, body.call),
          body.passed ? 'right' : 'not right',
          [
            body.words,
            ...(body.values ?? []).map(
              ({ what, value, unit, expected }) =>
                `${what}: ${value} ${unit}${expected === undefined ? '' : ` (should ${expected.toFixed(unit === 'A' && expected < 10 ? 2 : 1)})`}`,
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

const leftInPlace = ({ measures }: VisitState): ReportSection => ({
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

function stillOpen(state: VisitState): ReportSection {
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

/** A few lines to send in the middle of a visit, to somebody who does not stand in front of the unit. */
export function supportSummary(state: VisitState, diagram: Diagram, suspects: readonly string[]): string {
  const readings = state.readings
    .slice(-12)
    .map(
      ({ body, call, power }) =>
        `- ${body.from} to ${body.to ?? diagram.common}: ${display(body.value, body.meter)} (${power === 'on' ? callWords(diagram, call) || 'as found' : 'isolated'})`,
    )
  return [
    diagram.title,
    `Complaint: ${diagram.complaints.find(({ id }) => id === state.complaint)?.words ?? state.complaint}`,
    'Readings:',
    ...readings,
    'Suspects now:',
    ...suspects.slice(0, 4).map((words) => `- ${words}`),
  ].join('\n')
}
