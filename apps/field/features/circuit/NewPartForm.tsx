import { useState } from 'react'
import { View } from 'react-native'
import { zoneWords, type Diagram } from '@jokulgale/core/diagram/diagram'
import type { FarEnd } from '@jokulgale/core/diagram/drawLead'
import { partKinds } from '@jokulgale/core/parts/index'
import { Settings } from '@jokulgale/core/parts/settings'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Row } from '../../ui/Row'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { freeName } from '@jokulgale/core/diagram/freeName'

/** A part that a lead goes to, and the terminal that the way leads on from. */
export type NewPartEnd = Omit<FarEnd & { readonly is: 'new-part' }, 'is'> & { readonly leaves: string }

interface NewPartFormProps {
  readonly diagram: Diagram
  readonly part: NewPartEnd | null
  readonly onPart: (part: NewPartEnd | null) => void
}

const shownKinds = 8

/** Which part a lead goes to: its kind from the trade’s list, its name, its terminal and where it sits. */
export function NewPartForm({ diagram, part, onPart }: NewPartFormProps) {
  const [sought, setSought] = useState('')
  if (!part)
    return (
      <View>
        <Field
          label="Kind of part"
          value={sought}
          onChangeText={setSought}
          placeholder="contactor, fuse, limit"
        />
        {kindsLike(sought).map(({ kind, words }) => (
          <Row
            key={kind}
            title={words}
            onPress={() => {
              onPart(firstOf(diagram, kind, words))
            }}
          />
        ))}
      </View>
    )
  const terminals = terminalsOf(part.kind)
  return (
    <Stack gap="small">
      <Row
        title={part.words}
        below="another kind"
        onPress={() => {
          onPart(null)
        }}
      />
      <Field
        label="Its name"
        value={part.id}
        onChangeText={(id) => {
          onPart({ ...part, id: id.trim() })
        }}
        autoCapitalize="characters"
      />
      <Words strong>The lead lands on its terminal</Words>
      <Chips
        label="The lead lands on its terminal"
        options={terminals.map((id) => ({ id, words: id }))}
        chosen={part.terminal}
        onChoose={(terminal) => {
          onPart({ ...part, terminal, leaves: otherThan(terminals, terminal) })
        }}
      />
      <Words strong>Where it is</Words>
      <Chips
        label="Where it is"
        options={[...diagram.zones.keys()].map((id) => ({ id, words: zoneWords(diagram, id) }))}
        chosen={part.zone}
        onChoose={(zone) => {
          onPart({ ...part, zone })
        }}
      />
    </Stack>
  )
}

const kindsLike = (sought: string): readonly { readonly kind: string; readonly words: string }[] =>
  [...partKinds.values()]
    .filter(({ kind, words }) => terminalsOf(kind).length > 0 && words.includes(sought.trim().toLowerCase()))
    .sort((a, b) => a.words.localeCompare(b.words))
    .slice(0, shownKinds)

function terminalsOf(kind: string): readonly string[] {
  const of = partKinds.get(kind)
  return of ? of.terminals(new Settings('', of.settings)).map(({ name }) => name) : []
}

const otherThan = (terminals: readonly string[], one: string): string =>
  terminals.find((name) => name !== one) ?? one

function firstOf(diagram: Diagram, kind: string, words: string): NewPartEnd {
  const [terminal = '', leaves = ''] = terminalsOf(kind)
  const zone = [...diagram.zones.keys()].at(-1) ?? ''
  const called = `${words.charAt(0).toUpperCase()}${words.slice(1)}`
  return { id: freeName(diagram, words), kind, words: called, zone, terminal, leaves }
}
