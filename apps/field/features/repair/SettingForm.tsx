import { useState } from 'react'
import { Field } from '../../ui/Field'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

/** Settings that the circuit knows of, by part. */
const adjustable = new Set([
  'stages',
  'heat',
  'changeover',
  'compressorDelay',
  'method',
  'opensBelow',
  'opensAbove',
  'unbalance',
  'delay',
])

/** A setting changed, from what to what: thermostat set-up, changeover, delays. */
export function SettingForm({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const [of, setOf] = useState<string | null>(null)
  const [from, setFrom] = useState('')
  const [to, setTo] = useState('')
  const options = [...diagram.parts.values()].flatMap((part) =>
    Object.keys(part.kind.settings)
      .filter((name) => adjustable.has(name))
      .map((name) => ({
        id: `${part.id}.${name}`,
        words: `${part.words}: ${name}`,
        drawn: part.settings.text(name),
      })),
  )
  return (
    <Part title="Settings changed">
      {state.settings.map(({ entry, body }) => (
        <Words key={entry.id}>{`${body.of}: ${body.from} → ${body.to}`}</Words>
      ))}
      {of === null ? (
        options.slice(0, 12).map((option) => (
          <Press
            key={option.id}
            title={`${option.words}, should be ${option.drawn}`}
            onPress={() => {
              setOf(option.id)
              setTo(option.drawn)
              setFrom('')
            }}
          />
        ))
      ) : (
        <>
          <Words strong>{options.find(({ id }) => id === of)?.words ?? of}</Words>
          <Field label="Found at" value={from} onChangeText={setFrom} autoFocus />
          <Field label="Set to" value={to} onChangeText={setTo} />
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
