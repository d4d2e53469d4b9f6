import { useState } from 'react'
import { View } from 'react-native'
import { complaintSaid } from '@jokulgale/core/visit/complaintSaid'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { PhotoRow } from '../photo/PhotoRow'
import { ControlsForm } from '../call/ControlsForm'
import type { OpenVisit } from '../visit/useVisit'
import { Alterations } from './Alterations'
import { Codes } from './Codes'
import { Conditions } from './Conditions'
import { lookedAt, lookItemsFor, type LookItem } from './firstLook'
import { LookRow } from './LookRow'
import { Plate } from './Plate'
import { Replaced } from './Replaced'

/** The complaint, the first look, and the weather: what is known before a lead touches anything. */
export function LookTab({ visit }: { readonly visit: OpenVisit }) {
  if (!visit.state.complaint) return <Complaint visit={visit} />
  return (
    <Stack gap="huge">
      <Complaint visit={visit} />
      <FirstLook visit={visit} />
      <Codes visit={visit} />
      <Alterations visit={visit} />
      <Replaced visit={visit} />
      <Plate visit={visit} />
      <Conditions visit={visit} />
      <ControlsForm visit={visit} />
      {visit.state.photos.length > 0 ? (
        <Part title="Photos">
          <PhotoRow photos={visit.state.photos} />
        </Part>
      ) : null}
    </Stack>
  )
}

function Complaint({ visit: { state, diagram, say } }: { readonly visit: OpenVisit }) {
  const [words, setWords] = useState('')
  const said = complaintSaid(diagram, state.complaint)
  if (said) {
    return (
      <View>
        <Words strong quiet role="heading" aria-level={2}>
          Complaint
        </Words>
        <Words size="lead">{said.words}</Words>
        {state.complaintWords ? <Words quiet>“{state.complaintWords}”</Words> : null}
      </View>
    )
  }
  return (
    <Stack gap="medium">
      <Words size="lead" strong role="heading" aria-level={2}>
        What is the complaint?
      </Words>
      <Field label="In the customer’s words" value={words} onChangeText={setWords} multiline />
      <Line wraps gap="small">
        {diagram.complaints.map((complaint) => (
          <Press
            key={complaint.id}
            title={complaint.words}
            onPress={() => {
              void say({ kind: 'complaint', complaint: complaint.id, words: words.trim() })
            }}
          />
        ))}
      </Line>
    </Stack>
  )
}

function FirstLook({ visit }: { readonly visit: OpenVisit }) {
  const { state, diagram, say } = visit
  const [noting, setNoting] = useState<string | null>(null)
  const items = lookItemsFor(diagram)
  const enter = async (looked: readonly LookItem[], is: 'right' | 'wrong'): Promise<void> => {
    for (const body of looked.flatMap((item) => lookedAt(item, is))) await say(body)
  }
  return (
    <Stack gap="small">
      <View>
        <Words strong quiet role="heading" aria-level={2}>
          First look, before any power changes
        </Words>
        {items.map((item) => (
          <LookRow
            key={item.id}
            item={item}
            visit={visit}
            isNoting={noting === item.id}
            onLook={async (is) => {
              await enter([item], is)
              setNoting(is === 'wrong' ? item.id : null)
            }}
            onNoted={() => {
              setNoting(null)
            }}
          />
        ))}
      </View>
      <Press
        title="All of these are right"
        onPress={() => {
          void enter(
            items.filter(({ id }) => !state.firstLook.has(id)),
            'right',
          )
        }}
      />
    </Stack>
  )
}
