import { useState } from 'react'
import { View } from 'react-native'
import { joinProblem } from '@jokulgale/core/diagram/joins'
import { wiresAt } from '@jokulgale/core/diagram/wireAt'
import { Chips } from '../../ui/Chips'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { PointChooser } from '../pad/PointChooser'
import { PartChooser } from '../repair/PartChooser'
import type { OpenVisit } from '../visit/useVisit'
import { DoneNotUndone } from './DoneNotUndone'

const verbs = [
  { id: 'bridge', words: 'Join two points' },
  { id: 'lift', words: 'Lift a lead' },
  { id: 'unplug', words: 'Pull a plug' },
  { id: 'reset', words: 'Reset' },
  { id: 'warm', words: 'Warm' },
  { id: 'cool', words: 'Cool' },
  { id: 'wiggle', words: 'Move the wires' },
] as const
type Verb = (typeof verbs)[number]['id']

interface ActionSheetProps {
  readonly visit: OpenVisit
  readonly open: boolean
  readonly onClose: () => void
}

/** Something done to the unit: the circuit is solved with it until it is undone. */
export function ActionSheet({ visit, open, onClose }: ActionSheetProps) {
  const { state, say } = visit
  const [verb, setVerb] = useState<Verb | null>(null)
  const done = (of: string, to?: string): void => {
    if (verb) void say({ kind: 'action', do: verb, of, ...(to ? { to } : {}) })
    setVerb(null)
    onClose()
  }
  return (
    <Sheet title="Do something to it" open={open} onClose={onClose}>
      <DoneNotUndone visit={visit} />
      <Chips label="What is done" options={verbs} chosen={verb} onChoose={setVerb} />
      {verb === 'bridge' ? <BridgeForm visit={visit} onDone={done} /> : null}
      {verb === 'lift' ? <LiftForm visit={visit} onDone={done} /> : null}
      {verb !== null && verb !== 'bridge' && verb !== 'lift' ? (
        <PartChooser key={verb} diagram={visit.diagram} chosen={null} onChoose={done} />
      ) : null}
      {(verb === 'unplug' || verb === 'lift') && state.power === 'on' ? (
        <Notice kind="caution">Isolate the unit before a lead or plug comes off.</Notice>
      ) : null}
    </Sheet>
  )
}

function BridgeForm({
  visit: { diagram },
  onDone,
}: {
  readonly visit: OpenVisit
  readonly onDone: (of: string, to: string) => void
}) {
  const [from, setFrom] = useState('')
  const [to, setTo] = useState('')
  if (from === '' || to === '')
    return (
      <View>
        <Words strong>{from === '' ? 'From' : `${from} to`}</Words>
        <PointChooser key={from} diagram={diagram} among={null} onChoose={from === '' ? setFrom : setTo} />
      </View>
    )
  const problem = joinProblem(diagram, from, to)
  return (
    <Stack gap="small">
      <Words strong>{`${from} to ${to}`}</Words>
      {problem ? (
        <Notice kind="wrong">
          {`${problem.words}. If somebody else has joined them, record that under Look.`}
        </Notice>
      ) : (
        <Notice kind="caution">
          For a moment, watched, and off again. It stays in the list until you say that it is off.
        </Notice>
      )}
      <Press
        kind="main"
        title="Joined"
        disabled={problem !== null}
        onPress={() => {
          onDone(from, to)
        }}
      />
    </Stack>
  )
}

function LiftForm({
  visit: { diagram },
  onDone,
}: {
  readonly visit: OpenVisit
  readonly onDone: (of: string) => void
}) {
  const [point, setPoint] = useState('')
  if (point === '') return <PointChooser diagram={diagram} among={null} onChoose={setPoint} />
  const wires = wiresAt(diagram, point)
  return (
    <Stack gap="small">
      <Words strong>{`Which lead of ${point}?`}</Words>
      {wires.map((wire) => (
        <Press
          key={wire.id}
          title={`${wire.color} ${wire.number}, to ${wire.from === point ? wire.to : wire.from}`}
          onPress={() => {
            onDone(wire.id)
          }}
        />
      ))}
    </Stack>
  )
}
