import { asTyped } from '../circuit/meters'
import type { Diagram } from '../diagram/diagram'
import { complaintSaid } from './complaintSaid'
import { doneWords } from './doneWords'
import { readingMarks } from './readingPlace'
import { callOfLine } from './reportLine'
import type { VisitState } from './visitState'

/** A few lines to send in the middle of a visit, to somebody who does not stand in front of the unit. */
export function supportSummary(state: VisitState, diagram: Diagram, suspects: readonly string[]): string {
  const readings = state.readings.slice(-12).map(({ body, call, power, done }) => {
    const held = power === 'on' ? callOfLine(diagram, call) || 'as found' : 'isolated'
    const when = [held, ...doneWords(diagram, done)].join(', ')
    return `- ${readingMarks(diagram, body)}: ${asTyped(body.value, body.meter, body.typed)} (${when})`
  })
  return [
    diagram.title,
    `Complaint: ${complaintSaid(diagram, state.complaint)?.words ?? state.complaint}`,
    'Readings:',
    ...readings,
    'Suspects now:',
    ...suspects.slice(0, 4).map((words) => `- ${words}`),
  ].join('\n')
}
