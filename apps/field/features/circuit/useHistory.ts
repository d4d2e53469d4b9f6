import { useState } from 'react'

interface History {
  readonly text: string
  readonly canUndo: boolean
  readonly set: (text: string) => void
  readonly undo: () => void
}

const mostSteps = 100

/** A text with the way back to what it was. */
export function useHistory(first: string): History {
  const [texts, setTexts] = useState<readonly string[]>([first])
  return {
    text: texts[texts.length - 1],
    canUndo: texts.length > 1,
    set: (text) => {
      setTexts((before) => (before.at(-1) === text ? before : [...before.slice(-mostSteps), text]))
    },
    undo: () => {
      setTexts((before) => (before.length > 1 ? before.slice(0, -1) : before))
    },
  }
}
