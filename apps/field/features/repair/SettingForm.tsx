import { useState } from 'react'
import { dialsOf, dialValue } from '@jokulgale/core/diagram/dials'
import { entryWords } from '@jokulgale/core/visit/entryWords'
import { Field } from '../../ui/Field'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

const withUnit = (words: string, unit = ''): string => (unit === '' ? words : `${words}, ${unit}`)

/** A setting changed, from what to what: thermostat set-up, changeover, delays. */
export function SettingForm({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const [of, setOf] = useState<string | null>(null)
  const [from, setFrom] = useState('')
  const [to, setTo] = useState('')
  const options = dialsOf(diagram)
  const chosen = options.find(({ id }) => id === of)
  return (
    <Part title="Settings changed">
      {state.settings.map(({ entry, body }) => (
        <Words key={entry.id}>{entryWords(body, diagram)}</Words>
      ))}
      {of === null ? (
        options.map((option) => (
          <Press
            key={option.id}
            title={`${option.words}, should be ${dialValue(diagram, option.id, option.drawn)}`}
            onPress={() => {
              setOf(option.id)
              setTo(option.drawn)
              setFrom('')
            }}
          />
        ))
      ) : (
        <>
          <Words strong>{chosen?.words ?? of}</Words>
          <Field label={withUnit('Found at', chosen?.unit)} value={from} onChangeText={setFrom} autoFocus />
          <Field label={withUnit('Set to', chosen?.unit)} value={to} onChangeText={setTo} />
          <Press
            kind="main"
            title="Record the change"
            disabled={from.trim() === '' || to.trim() === ''}
            onPress={() => {
              void say({ kind: 'setting', of, from: from.trim(), to: to.trim() })
              setOf(null)
            }}
          />
          <Press
            kind="quiet"
            title="Not this one"
            onPress={() => {
              setOf(null)
            }}
          />
        </>
      )}
    </Part>
  )
}
