import { useCallback, useState } from 'react'

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
  const set = useCallback((text: string) => {
    setTexts((before) => (before.at(-1) === text ? before : [...before.slice(-mostSteps), text]))
  }, [])
  const undo = useCallback(() => {
    setTexts((before) => (before.length > 1 ? before.slice(0, -1) : before))
  }, [])
  return { text: texts[texts.length - 1], canUndo: texts.length > 1, set, undo }
}
