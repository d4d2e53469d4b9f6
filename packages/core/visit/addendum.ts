import { display } from '../circuit/meter'
import { partWords, type Diagram } from '../diagram/diagram'
import type { Entry } from './log'
import { seenWords } from './seenWords'

/** What was added to a visit after it was signed off, in words. */
export function addendumWords({ body }: Entry, diagram: Diagram): string {
  switch (body.kind) {
    case 'note':
    case 'defect':
      return body.words
    case 'photo':
      return ['Photo', body.of, body.words].filter(Boolean).join(': ')
    case 'reading':
      return `${body.from} to ${body.to ?? diagram.common}: ${display(body.value, body.meter)}`
    case 'observation':
      return `${partWords(diagram, body.of)}: ${seenWords(body.what)}`
    case 'repair':
      return `Repaired: ${body.words ?? partWords(diagram, body.of)}`
    case 'temporary-removed':
      return 'A temporary measure was taken off'
    case 'retracted':
      return 'An entry was taken back; it stands as it was signed'
    case 'sign-off':
      return `Signed again: ${body.words}`
    default:
      return `Entered later: ${body.kind.replaceAll('-', ' ')}`
  }
}
