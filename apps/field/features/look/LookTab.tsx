import { useState } from 'react'
import { View } from 'react-native'
import { Field } from '../../ui/Field'
import { Press } from '../../ui/Press'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'
import { Conditions } from './Conditions'
import { lookItemsFor } from './firstLook'

/** The complaint, the first look, and the weather: what is known before a lead touches anything. */
export function LookTab({ visit }: { readonly visit: OpenVisit }) {
  return (
    <View style={{ gap: space.huge }}>
      <Complaint visit={visit} />
      {visit.state.complaint ? <FirstLook visit={visit} /> : null}
      {visit.state.complaint ? <Conditions visit={visit} /> : null}
    </View>
  )
}

function Complaint({ visit: { state, diagram, say } }: { readonly visit: OpenVisit }) {
  const [words, setWords] = useState('')
  const said = diagram.complaints.find(({ id }) => id === state.complaint)
  if (said) {
    return (
      <View>
        <Words strong quiet role="heading" aria-level={2}>Complaint</Words>
        <Words size="lead">{said.words}</Words>
        {state.complaintWords ? <Words quiet>“{state.complaintWords}”</Words> : null}
      </View>
    )
  }
  return (
    <View style={{ gap: space.medium }}>
      <Words size="lead" strong role="heading" aria-level={2}>What is the complaint?</Words>
      <Field label="In the customer’s words" value={words} onChangeText={setWords} multiline />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {diagram.complaints.map((complaint) => (
          <Press key={complaint.id} title={complaint.words} onPress={() => { void say({ kind: 'complaint', complaint: complaint.id, words: words.trim() }) }} />
        ))}
      </View>
    </View>
  )
}

function FirstLook({ visit: { state, diagram, say } }: { readonly visit: OpenVisit }) {
  const palette = usePalette()
  return (
    <View>
      <Words strong quiet role="heading" aria-level={2}>First look, before any power changes</Words>
      {lookItemsFor(diagram.unitClass).map(({ id, words }) => {
        const seen = state.firstLook.get(id)?.body.is
        return (
          <View key={id} style={{ borderBottomWidth: 1, borderColor: palette.line, paddingVertical: space.hair, gap: space.small, flexDirection: 'row', alignItems: 'center' }}>
            <Words style={{ flex: 1 }}>{words}</Words>
            <View style={{ flexDirection: 'row', gap: space.hair }}>
              <Press title="Right" label={`${words}: right`} selected={seen === 'right'} onPress={() => { void say({ kind: 'first-look', item: id, is: 'right' }) }} />
              <Press title="Wrong" label={`${words}: wrong`} selected={seen === 'wrong'} onPress={() => { void say({ kind: 'first-look', item: id, is: 'wrong', words }) }} />
            </View>
          </View>
        )
      })}
    </View>
  )
}
