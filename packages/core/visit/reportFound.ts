import { asTyped } from '../circuit/meters'
import { partWords, type Diagram } from '../diagram/diagram'
import { complaintSaid } from './complaintSaid'
import { conditionNamed } from './conditionWords'
import { doneWords } from './doneWords'
import { entriesOf } from './fold'
import { callOfLine, line, measured, type ReportLine, type ReportSection } from './reportLine'
import { seenOpen } from './seenOpen'
import { readingMarks, readingPlace } from './readingPlace'
import { alterationWords } from './temporary'
import type { VisitState, WhenTaken } from './visitState'
import { percentWords } from './percentWords'
import { observedWords } from './observedWords'

export function complaint(
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
    lines: [line(complaintSaid(diagram, said)?.words ?? said, '', complaintWords), ...control],
  }
}

export function asFound(state: VisitState, diagram: Diagram): ReportSection {
  const firstCall = complaintSaid(diagram, state.complaint)?.call ?? null
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
      ...state.observations.map(({ body, ...when }) =>
        line(partWords(diagram, body.of), observedWords(body), standingWords(diagram, firstCall, when)),
      ),
      ...state.readings.map(({ body, ...when }) =>
        measured(
          readingPlace(diagram, body),
          body,
          [readingMarks(diagram, body), standingWords(diagram, firstCall, when)].filter(Boolean).join('; '),
        ),
      ),
    ],
  }
}

export function workedOut(state: VisitState, diagram: Diagram): readonly ReportSection[] {
  const lines = entriesOf(state.entries, 'calculation').map(({ body }) =>
    line(
      [body.tool, body.of ? partWords(diagram, body.of) : ''].filter(Boolean).join(', '),
      body.words,
      [...body.given, ...body.found].map(({ what, value }) => `${what} ${value}`).join('; '),
    ),
  )
  return lines.length > 0 ? [{ title: 'Worked out', none: '', lines }] : []
}

/** Weather, pressures and supply as they were measured, with the day's last value of each. */
export function conditions({ entries }: VisitState): readonly ReportSection[] {
  const last = new Map(entriesOf(entries, 'condition').map(({ body }) => [body.of, body]))
  const supplies = entriesOf(entries, 'supply').map(({ body }) => line(`Supply found: ${body.system}`))
  const lines = [...last.values()].map(({ of, value }): ReportLine => {
    const { words, unit } = conditionNamed(of)
    return { ...line(words, `${value} ${unit}`.trim()), number: { value, unit } }
  })
  const all = [...supplies, ...lines]
  return all.length > 0 ? [{ title: 'Conditions measured', none: '', lines: all }] : []
}

/** What was wrong, and the readings that told it from what else it might have been, as they were judged then. */
export function cause(state: VisitState, diagram: Diagram): ReportSection {
  return {
    title: 'Cause',
    none: 'Not found on this visit.',
    lines: [...state.causes, ...repairsAlone(state)].flatMap(({ entry, body }) => {
      const words = body.words ?? partWords(diagram, body.of)
      const { reasoning } = body
      if (!reasoning) return [line(words, '', lastReadings(state, entry.clock.wall))]
      const { chance, shownBy, rivals } = reasoning
      return [
        line(words, percentWords(chance), shownBy.length > 0 ? `shown by ${shownBy.join('; ')}` : ''),
        ...rivals.map((rival) =>
          line(`Rather than: ${rival.words}`, percentWords(rival.chance), rival.against.join('; ')),
        ),
      ]
    }),
  }
}

/** Repairs of what nobody took for a cause first; a fuse that was renewed beside the cause is none. */
function repairsAlone(state: VisitState): VisitState['repairs'] {
  const { causes, repairs } = state
  return repairs.filter(
    ({ body }) =>
      !causes.some((cause) => cause.body.of === body.of) && !(causes.length > 0 && seenOpen(state, body.of)),
  )
}

/** For repairs from before their reasoning was kept. */
function lastReadings(state: VisitState, until: number): string {
  const shown = state.readings
    .filter((reading) => reading.entry.clock.wall <= until)
    .slice(-3)
    .map(({ body }) => `${asTyped(body.value, body.meter, body.typed)} at ${body.from}`)
  return shown.length > 0 ? `read before: ${shown.join(', ')}` : ''
}

/** The call or the power that something was read in, and what was off or out. */
const standingWords = (
  diagram: Diagram,
  firstCall: string | null,
  { call, power, done }: WhenTaken,
): string => {
  const held =
    power === 'on' ? callOfLine(diagram, call ?? firstCall) : power === 'isolated' ? 'isolated' : 'power off'
  return [held, ...doneWords(diagram, done)].filter(Boolean).join(', ')
}
