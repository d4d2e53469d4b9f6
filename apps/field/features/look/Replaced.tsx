import { useState } from 'react'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { entriesOf } from '@jokulgale/core/visit/fold'
import { Field } from '../../ui/Field'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Words } from '../../ui/Words'
import { PartChooser } from '../repair/PartChooser'
import type { OpenVisit } from '../visit/useVisit'

/** What others have replaced already: it changes the odds, and warns of fresh miswiring. */
export function Replaced({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const [adding, setAdding] = useState(false)
  const [of, setOf] = useState<string | null>(null)
  const [by, setBy] = useState('')
  return (
    <Part title="Replaced by others already">
      {entriesOf(state.entries, 'replaced').map(({ entry, body }) => (
        <Words key={entry.id}>{`${partWords(diagram, body.of)}${body.by ? `, by ${body.by}` : ''}`}</Words>
      ))}
      {adding ? (
        <>
          <PartChooser diagram={diagram} chosen={of} onChoose={setOf} />
          <Field label="By whom" value={by} onChangeText={setBy} placeholder="Customer, another contractor" />
          <Press
            title="Record it"
            disabled={of === null}
            onPress={() => {
              if (of) void say({ kind: 'replaced', of, by: by.trim() })
              setAdding(false)
              setOf(null)
            }}
          />
        </>
      ) : (
        <Press
          title="Somebody replaced a part"
          onPress={() => {
            setAdding(true)
          }}
        />
      )}
    </Part>
  )
}
