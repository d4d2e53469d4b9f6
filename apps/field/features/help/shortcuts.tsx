import { useEffect } from 'react'
import { Words } from '../../ui/Words'
import { Line } from '../../ui/Line'

/** Keys of the wide layout and what they do. */
const keys: readonly (readonly [string, string])[] = [
  ['1 … 5', 'Look, Trace, Suspects, Repair, Prove'],
  ['m', 'enter the reading asked for'],
  ['u', 'undo the last entry'],
  ['Esc', 'close a sheet'],
]

/** Runs something on a key, while no text is being typed and no sheet is open. */
export function useShortcuts(actions: Readonly<Record<string, () => void>>, on: boolean): void {
  useEffect(() => {
    if (!on) return undefined
    const listen = (event: KeyboardEvent): void => {
      const target = event.target instanceof HTMLElement ? event.target : null
      if (event.ctrlKey || event.metaKey || event.altKey || target?.closest('input, textarea, select')) return
      // an open sheet has keys of its own
      if (document.querySelector('[aria-modal="true"]')) return
      const action = actions[event.key]
      if (!action) return
      event.preventDefault()
      action()
    }
    window.addEventListener('keydown', listen)
    return () => {
      window.removeEventListener('keydown', listen)
    }
  }, [actions, on])
}

export function ShortcutList() {
  return (
    <Line role="note" aria-label="Keys" wraps gap="medium">
      {keys.map(([key, words]) => (
        <Words key={key} size="small" quiet>
          <Words size="small" tabular>
            {key}
          </Words>
          {` ${words}`}
        </Words>
      ))}
    </Line>
  )
}
