import { partWords } from '@jokulgale/core/diagram/diagram'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import type { OpenVisit } from '../visit/useVisit'
import { undoing } from './undoing'

/** What was done to the unit and stands still, each to be said undone; nothing where there is none. */
export function DoneNotUndone({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const standing = state.standing.actions.flatMap(({ key, verb, of, to }) => {
    const undo = undoing[verb]
    return undo ? [{ key, of, to, undo }] : []
  })
  if (standing.length === 0) return null
  return (
    <Part title="Done and not undone">
      {standing.map(({ key, of, to, undo }) => (
        <Press
          key={key}
          title={`${partWords(diagram, of)}${to ? ` to ${to}` : ''} ${undo.words}`}
          onPress={() => {
            void say({ kind: 'action', do: undo.by, of, ...(to ? { to } : {}) })
          }}
        />
      ))}
    </Part>
  )
}
