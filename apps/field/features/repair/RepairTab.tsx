import { useState } from 'react'
import { repairOf } from '@jokulgale/core/visit/openCauses'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'
import { CausePart } from './CausePart'
import { LeadsPart } from './LeadsPart'
import { OpenedNotBack } from './OpenedNotBack'
import { PartChooser } from './PartChooser'
import { PartUsedForm } from './PartUsedForm'
import { SettingForm } from './SettingForm'

/**
 * Everything that is done to the unit for good: go-ahead, leads as found and landed again, parts, settings.
 */
export function RepairTab({ visit }: { readonly visit: OpenVisit }) {
  const { state, diagram, say } = visit
  const [part, setPart] = useState<string | null>(null)
  const known = [...new Set([...state.repairs, ...state.leads, ...state.causes].map(({ body }) => body.of))]
  const chosen = part ?? known.at(-1) ?? null
  return (
    <Stack gap="huge">
      <CausePart visit={visit} />
      <OpenedNotBack visit={visit} />
      {state.power === 'isolated' || chosen === null ? null : (
        <Notice kind="caution">
          Isolate every source and prove it dead before a lead is touched, with Power.
        </Notice>
      )}
      <Part title="Part in hand">
        <PartChooser diagram={diagram} chosen={chosen} onChoose={setPart} />
        {chosen !== null && diagram.parts.has(chosen) ? (
          <>
            <LeadsPart visit={visit} part={chosen} />
            <PartUsedForm key={chosen} visit={visit} part={chosen} />
            {[...state.repairs, ...state.causes].some(({ body }) => body.of === chosen) ? null : (
              <Press
                title={`Record the repair of ${chosen}`}
                onPress={() => {
                  void say(repairOf(state, chosen))
                }}
              />
            )}
            <PermanentChange visit={visit} part={chosen} />
          </>
        ) : null}
      </Part>
      <GoAhead visit={visit} />
      <SettingForm visit={visit} />
    </Stack>
  )
}

function GoAhead({ visit: { state, say } }: { readonly visit: OpenVisit }) {
  const [by, setBy] = useState('')
  const [words, setWords] = useState('')
  return (
    <Part title="Customer’s go-ahead, where it costs">
      {state.goAheads.map(({ entry, body }) => (
        <Words key={entry.id}>{`${body.by}: ${body.words || 'agreed'}`}</Words>
      ))}
      <Field label="Who agreed" value={by} onChangeText={setBy} />
      <Field label="To what" value={words} onChangeText={setWords} />
      <Press
        title="Record the go-ahead"
        disabled={by.trim() === ''}
        onPress={() => {
          void say({ kind: 'go-ahead', by: by.trim(), words: words.trim() })
          setBy('')
          setWords('')
        }}
      />
    </Part>
  )
}

function PermanentChange({
  visit: { state, say },
  part,
}: {
  readonly visit: OpenVisit
  readonly part: string
}) {
  const [words, setWords] = useState('')
  const changes = state.diagramChanges.filter(({ body }) => body.of === part)
  return (
    <Stack gap="hair">
      {changes.map(({ entry, body }) => (
        <Notice key={entry.id} kind="plain">{`Wiring changed for good: ${body.words}`}</Notice>
      ))}
      <Field
        label="Wired otherwise than the diagram, for good"
        value={words}
        onChangeText={setWords}
        placeholder="External relay in place of the board’s; the fan-off delay is gone"
      />
      {words.trim() ? (
        <Press
          title="Mark the diagram as changed"
          onPress={() => {
            void say({ kind: 'diagram-changed', of: part, words: words.trim() })
            setWords('')
          }}
        />
      ) : null}
    </Stack>
  )
}
