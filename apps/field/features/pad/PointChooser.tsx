import { useMemo, useState } from 'react'
import { View } from 'react-native'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { nearest } from '@jokulgale/core/diagram/nearest'
import { Field } from '../../ui/Field'
import { Row } from '../../ui/Row'
import { Words } from '../../ui/Words'

interface PointChooserProps {
  readonly diagram: Diagram
  /** Only these may be chosen; null: any point, and bare metal. */
  readonly among: readonly string[] | null
  readonly onChoose: (point: string) => void
}

const shown = 40

/** Finds a test point by a few letters of its name or words. */
export function PointChooser({ diagram, among, onChoose }: PointChooserProps) {
  const [sought, setSought] = useState('')
  const points = useMemo(() => {
    const all = [...diagram.points.values()].filter(({ id }) => among === null || among.includes(id))
    const metal = { id: 'EARTH', words: 'Bare metal of the unit', zone: '', part: '' }
    return among === null ? [...all, metal] : all
  }, [diagram, among])
  const wanted = sought.trim().toLowerCase()
  const found = points.filter(
    ({ id, words }) => id.toLowerCase().includes(wanted) || words.toLowerCase().includes(wanted),
  )
  return (
    <View>
      <Field
        label="Find a point"
        value={sought}
        onChangeText={setSought}
        autoFocus
        autoCapitalize="characters"
        autoCorrect={false}
        placeholder="TB.Y1, contactor, …"
      />
      {found.length === 0 ? (
        <Words quiet>{`No point fits “${sought}”. Nearest: ${nearest(
          sought,
          points.map(({ id }) => id),
        ).join(', ')}`}</Words>
      ) : null}
      {found.slice(0, shown).map(({ id, words }) => (
        <Row
          key={id}
          title={id}
          below={words}
          onPress={() => {
            onChoose(id)
          }}
        />
      ))}
      {found.length > shown ? (
        <Words size="small" quiet>{`${found.length - shown} more: type more letters`}</Words>
      ) : null}
    </View>
  )
}
