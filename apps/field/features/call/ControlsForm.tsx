import { useState } from 'react'
import { Check } from '../../ui/Check'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Part } from '../../ui/Part'
import { callControllers } from './callControllers'
import type { OpenVisit } from '../visit/useVisit'

/** Who makes the call, and whether they have confirmed by telephone that they are making it. */
export function ControlsForm({ visit: { state, say } }: { readonly visit: OpenVisit }) {
  const { controls } = state
  const [telephone, setTelephone] = useState(controls?.telephone ?? '')
  const by = controls?.by ?? null
  return (
    <Part title="Who controls the call">
      <Chips
        label="Who controls the call"
        options={callControllers}
        chosen={by}
        onChoose={(id) => {
          void say({ kind: 'controls', by: id, ...(telephone ? { telephone } : {}) })
        }}
      />
      {by !== null && by !== 'thermostat' ? (
        <>
          <Field
            label="Their telephone"
            value={telephone}
            onChangeText={setTelephone}
            inputMode="tel"
            onBlur={() => {
              if (telephone !== (controls?.telephone ?? ''))
                void say({ kind: 'controls', by, telephone, confirmed: controls?.confirmed ?? false })
            }}
          />
          <Check
            title="They confirmed that they are calling"
            on={controls?.confirmed === true}
            onPress={() => {
              void say({
                kind: 'controls',
                by,
                ...(telephone ? { telephone } : {}),
                confirmed: controls?.confirmed !== true,
              })
            }}
          />
        </>
      ) : null}
    </Part>
  )
}
