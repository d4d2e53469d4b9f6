import { useState } from 'react'
import { View } from 'react-native'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PhotoPress } from '../photo/PhotoPress'
import type { OpenVisit } from '../visit/useVisit'
import { LeadsPart } from './LeadsPart'
import { PartChooser } from './PartChooser'
import { PartUsedForm } from './PartUsedForm'
import { SettingForm } from './SettingForm'

/**
 * Everything that is done to the unit for good: go-ahead, leads as found and landed again, parts, settings.
 */
export function RepairTab({ visit }: { readonly visit: OpenVisit }) {
  const palette = usePalette()
  const { state, diagram, say } = visit
  const [part, setPart] = useState<string | null>(null)
  const known = [
    ...new Set([...state.repairs.map(({ body }) => body.of), ...state.leads.map(({ body }) => body.of)]),
  ]
  const chosen = part ?? known.at(-1) ?? null
  return (
    <View style={{ gap: space.huge }}>
      <Part title="Repaired">
        {state.repairs.length === 0 ? (
          <Words quiet>
            Nothing yet. Open the suspect that it was, under Suspects, and record the repair there; or choose
            the part below.
          </Words>
        ) : null}
        {state.repairs.map(({ entry, body }) => (
          <View
            key={entry.id}
            style={{
              borderBottomWidth: 1,
              borderColor: palette.line,
              paddingBottom: space.small,
              flexDirection: 'row',
              alignItems: 'center',
            }}
          >
            <View style={{ flex: 1 }}>
              <Words strong>{partWords(diagram, body.of)}</Words>
              {body.words ? (
                <Words size="small" quiet>
                  {body.words}
                </Words>
              ) : null}
            </View>
            <PhotoPress visit={visit.id} shows={{ of: body.of }} label={body.of} />
          </View>
        ))}
      </Part>
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
            {state.repairs.some(({ body }) => body.of === chosen) ? null : (
              <Press
                title={`Record the repair of ${chosen}`}
                onPress={() => {
                  void say({ kind: 'repair', of: chosen })
                }}
              />
            )}
            <PermanentChange visit={visit} part={chosen} />
          </>
        ) : null}
      </Part>
      <GoAhead visit={visit} />
      <SettingForm visit={visit} />
    </View>
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
    <View style={{ gap: space.hair }}>
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
    </View>
  )
}
