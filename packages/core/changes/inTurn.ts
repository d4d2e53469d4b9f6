import type { Diagram } from '../diagram/diagram'
import { edited, problem, type LadderEdit } from '../diagram/editLadder'
import { DiagramError, readLadder } from '../diagram/readLadder'

/** One edit of a text, made on the circuit that it is after the edits before. */
export interface Turn {
  readonly words: string
  readonly make: (text: string, diagram: Diagram) => LadderEdit
}

/** Edits one after another, each read again; one that cannot be made, or leaves no circuit, is named. */
export const inTurn = (text: string, turns: readonly Turn[]): LadderEdit =>
  turns.reduce<LadderEdit>((now, turn) => (now.is === 'text' ? taken(now.text, turn) : now), edited(text))

function taken(text: string, { words, make }: Turn): LadderEdit {
  const edit = make(text, readLadder(text))
  if (edit.is === 'problem') return problem(`${words}: ${edit.message}`)
  try {
    readLadder(edit.text)
    return edit
  } catch (error) {
    if (!(error instanceof DiagramError)) throw error
    return problem(`${words}: ${error.message}`)
  }
}
