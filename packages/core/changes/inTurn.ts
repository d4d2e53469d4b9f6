import type { Diagram } from '../diagram/diagram'
import { edited, problem, type LadderEdit } from '../diagram/editLadder'
import { DiagramError, readLadder } from '../diagram/readLadder'

/** One edit of a text, made on the circuit that it is after the edits before. */
export interface Turn {
  readonly words: string
  readonly make: (text: string, diagram: Diagram) => LadderEdit
}

/** Rounds through what could not be made yet: longer chains of waiting than that are no change by hand. */
const mostRounds = 3

/**
 * Edits one after another, each read again. One that cannot be made yet, or leaves a part that nothing reaches,
 * is made once others have been; where none can be made any more, the first that is left is named.
 */
export function inTurn(text: string, turns: readonly Turn[]): LadderEdit {
  let now: Made = { is: 'made', text, diagram: readLadder(text) }
  let left = turns
  for (let round = 1; left.length > 0; round++) {
    const later: Turn[] = []
    let first: LadderEdit | null = null
    for (const turn of left) {
      const made = taken(now, turn)
      if (made.is === 'made') now = made
      else {
        first ??= made
        later.push(turn)
      }
    }
    if (first && (later.length === left.length || round === mostRounds)) return first
    left = later
  }
  return edited(now.text)
}

/** A text, and the circuit that it is. */
interface Made {
  readonly is: 'made'
  readonly text: string
  readonly diagram: Diagram
}

function taken({ text, diagram }: Made, { words, make }: Turn): Made | ReturnType<typeof problem> {
  const edit = make(text, diagram)
  if (edit.is === 'problem') return problem(`${words}: ${edit.message}`)
  try {
    return { is: 'made', text: edit.text, diagram: readLadder(edit.text) }
  } catch (error) {
    if (!(error instanceof DiagramError)) throw error
    return problem(`${words}: ${error.message}`)
  }
}
