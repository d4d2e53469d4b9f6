import { useState } from 'react'
import { View } from 'react-native'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { Field } from '../../ui/Field'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { space } from '../../ui/theme'

interface PartChooserProps {
  readonly diagram: Diagram
  readonly chosen: string | null
  readonly onChoose: (part: string) => void
}

const shown = 8

/** Chooses a part of the unit by a few letters. */
export function PartChooser({ diagram, chosen, onChoose }: PartChooserProps) {
  const [sought, setSought] = useState<string | null>(null)
  const part = chosen === null ? undefined : diagram.parts.get(chosen)
  if (sought === null)
    return (
      <Press
        title={part ? `${part.id}  ${part.words}` : 'Choose a part'}
        label={part ? `Part in hand: ${part.words}. Change` : 'Choose a part'}
        onPress={() => {
          setSought('')
        }}
      />
    )
  const wanted = sought.trim().toLowerCase()
  const found = [...diagram.parts.values()].filter(
    ({ id, words }) => id.toLowerCase().includes(wanted) || words.toLowerCase().includes(wanted),
  )
  return (
    <View style={{ gap: space.hair }}>
      <Field
        label="Find a part"
        value={sought}
        onChangeText={setSought}
        autoFocus
        placeholder="CC1, contactor, fuse"
      />
      {found.slice(0, shown).map(({ id, words }) => (
        <Row
          key={id}
          title={id}
          below={words}
          label={`Part ${id}`}
          onPress={() => {
            setSought(null)
            onChoose(id)
          }}
        />
      ))}
    </View>
  )
}
