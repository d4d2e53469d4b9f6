import { useMemo, useState } from 'react'
import type { Stop } from '@jokulgale/core/diagnosis/strip'
import { zoneWords, type Diagram, type Wire } from '@jokulgale/core/diagram/diagram'
import {
  insertPart,
  landElsewhere,
  relabelWire,
  takePartOut,
  throughKinds,
  type LadderEdit,
} from '@jokulgale/core/diagram/editLadder'
import { readableLadder } from '@jokulgale/core/diagram/readLadder'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { freeName } from '@jokulgale/core/diagram/freeName'
import { PanelNameForm } from './PanelNameForm'

interface StopSheetProps {
  readonly text: string
  readonly stop: Stop
  readonly onEdited: (text: string) => void
  readonly onClose: () => void
}

/** What can be changed where a stop of the strip is: its wire, the part that it is reached through. */
export function StopSheet({ text, stop, onEdited, onClose }: StopSheetProps) {
  const [problem, setProblem] = useState('')
  const diagram = useMemo(() => readableLadder(text), [text])
  const take = (edit: LadderEdit): void => {
    if (edit.is === 'problem') {
      setProblem(edit.message)
      return
    }
    setProblem('')
    onEdited(edit.text)
    onClose()
  }
  if (!diagram) return null
  const wire = stop.by.is === 'wire' ? diagram.wires.get(stop.by.id) : undefined
  const part = stop.by.is === 'part' ? stop.by : null
  return (
    <Sheet title={stop.point} open onClose={onClose}>
      <Words quiet>{stop.words}</Words>
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      {part ? (
        <Press
          title={`Take ${part.part} out of the path`}
          onPress={() => {
            take(takePartOut(text, diagram, part.part))
          }}
        />
      ) : null}
      {wire ? <WireForms key={wire.id} text={text} diagram={diagram} wire={wire} take={take} /> : null}
      {!wire && !part ? <Words quiet>This is where the path begins.</Words> : null}
      <PanelNameForm key={stop.point} text={text} diagram={diagram} point={stop.point} take={take} />
    </Sheet>
  )
}

interface WireFormsProps {
  readonly text: string
  readonly diagram: Diagram
  readonly wire: Wire
  readonly take: (edit: LadderEdit) => void
}

function WireForms({ text, diagram, wire, take }: WireFormsProps) {
  const [color, setColor] = useState(wire.color)
  const [number, setNumber] = useState(wire.number)
  const [point, setPoint] = useState('')
  return (
    <Stack gap="large">
      <InsertForm text={text} diagram={diagram} wire={wire} take={take} />
      <Part title={`The wire ${wire.color} ${wire.number}`}>
        <Field label="Colour" value={color} onChangeText={setColor} autoCapitalize="none" />
        <Field label="Number" value={number} onChangeText={setNumber} autoCapitalize="none" />
        <Press
          title="Give it this label"
          onPress={() => {
            take(relabelWire(text, wire, color.trim(), number.trim()))
          }}
        />
      </Part>
      <Part title="It lands somewhere else">
        <Field
          label={`Terminal instead of ${wire.to}`}
          value={point}
          onChangeText={setPoint}
          autoCapitalize="characters"
          placeholder="TB.G"
        />
        <Press
          title="Land it there"
          onPress={() => {
            take(landElsewhere(text, diagram, wire, point.trim()))
          }}
        />
      </Part>
    </Stack>
  )
}

function InsertForm({ text, diagram, wire, take }: WireFormsProps) {
  const [sought, setSought] = useState('')
  const zone = diagram.points.get(wire.to)?.zone ?? ''
  const fitting = throughKinds.filter(({ words }) => words.includes(sought.trim().toLowerCase()))
  return (
    <Part title="Put a part into this wire">
      <Field label="Kind of part" value={sought} onChangeText={setSought} placeholder="switch, fuse, limit" />
      {fitting.slice(0, sought === '' ? 5 : 12).map((kind) => (
        <Row
          key={kind.kind}
          title={kind.words}
          below={`as ${freeName(diagram, kind.words)}, in ${zoneWords(diagram, zone)}`}
          onPress={() => {
            const words = `${kind.words.charAt(0).toUpperCase()}${kind.words.slice(1)}`
            take(insertPart(text, diagram, wire, { id: freeName(diagram, kind.words), kind, words, zone }))
          }}
        />
      ))}
    </Part>
  )
}
