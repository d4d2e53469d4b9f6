import type { Diagram } from '../diagram/diagram'
import { drawLead } from '../diagram/drawLead'
import { landElsewhere, type LadderEdit } from '../diagram/editLadder'
import { readableLadder, readLadder } from '../diagram/readLadder'
import { endThatStays, wireBetween, wireNamed } from './movedLead'
import { alterationWords, takesGuardOut, type Alteration } from './temporary'

/** A circuit as a visit left it: its text, and what of the findings could not be drawn into it. */
export interface AsLeft {
  readonly text: string
  readonly notDrawn: readonly string[]
}

/**
 * Draws into a circuit what was found otherwise and is meant so: leads on other terminals, terminals joined.
 * What takes a safety control out of its circuit is never drawn in.
 */
export function asLeft(text: string, alterations: readonly Alteration[]): AsLeft {
  const meant = alterations.filter(({ settled }) => settled?.as === 'accepted')
  return meant.reduce<AsLeft>(
    (left, alteration) => {
      const edit = drawnIn(left.text, alteration)
      return edit === null
        ? { ...left, notDrawn: [...left.notDrawn, alterationWords(alteration.body)] }
        : { ...left, text: edit }
    },
    { text, notDrawn: [] },
  )
}

/** The text with one finding in it; null where it cannot be drawn. */
function drawnIn(text: string, { body }: Alteration): string | null {
  const diagram = readLadder(text)
  // the circuit may have become another since the visit: the lead may be drawn where it was found by now
  if (body.what === 'moved' && !wireBetween(diagram, body.of)) return null
  if (takesGuardOut(diagram, body)) return null
  const edit = editFor(text, diagram, body)
  return edit?.is === 'text' && readableLadder(edit.text) ? edit.text : null
}

function editFor(
  text: string,
  diagram: Diagram,
  { what, of, to = '' }: Alteration['body'],
): LadderEdit | null {
  switch (what) {
    case 'moved': {
      const wire = wireNamed(diagram, of)
      return landElsewhere(
        text,
        diagram,
        wire,
        to,
        endThatStays(diagram, of, to) === wire.from ? 'to' : 'from',
      )
    }
    case 'joined':
      return drawLead(text, diagram, {
        from: of,
        color: 'jumper',
        number: 'J',
        to: { is: 'terminal', point: to },
      })
    case 'added':
    case 'bridged':
    case 'substituted':
    case 'other':
      return null
  }
}
