import { partWords } from '@jokulgale/core/diagram/diagram'
import { openedNotBack } from '@jokulgale/core/visit/openedNotBack'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import type { OpenVisit } from '../visit/useVisit'

const backWords = { renewed: 'renewed, one of its rating', reset: 'reset' } as const

/** Fuses and breakers that opened and are still to be put back; nothing where there is none. */
export function OpenedNotBack({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const opened = openedNotBack(diagram, state)
  if (opened.length === 0) return null
  return (
    <Part title="Opened, and not put back">
      <Notice kind="caution">
        Ohms from what it feeds to common and to bare metal once more: nothing may be left that opens it
        again.
      </Notice>
      {opened.map(({ of, back }) => (
        <Press
          key={of}
          title={`${partWords(diagram, of)} ${backWords[back]}`}
          onPress={() => {
            void say(back === 'reset' ? { kind: 'action', do: 'reset', of } : { kind: 'repair', of })
          }}
        />
      ))}
    </Part>
  )
}
