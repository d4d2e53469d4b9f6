import { lazy, Suspense, useDeferredValue, useMemo, useState } from 'react'
import type { DiagramRecord, UnitRecord } from '@jokulgale/contract/places'
import { readableLadder } from '@jokulgale/core/diagram/readLadder'
import { Chips } from '../../ui/Chips'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen, useWide } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { ChangeView } from './ChangeView'
import { CircuitDrawing } from './CircuitDrawing'
import { CircuitFiles } from './CircuitFiles'
import { KeepFoot } from './KeepFoot'
import { LeadsForm } from './LeadsForm'
import { PlateForm } from './PlateForm'
import { ReadyChanges } from './ReadyChanges'
import { useAsLeft } from './useAsLeft'
import { useCircuitChange } from './useCircuitChange'
import { useHistory } from './useHistory'
import { useSketch, type Sketched } from './useSketch'

/** The editor comes when its tab is opened: it is half as large as the rest of the application. */
const LadderEditor = lazy(() => import('./LadderEditor'))

interface CircuitScreenProps {
  readonly unitId: string
  /** The visit whose findings are drawn in to begin with; empty: none. */
  readonly leftBy: string
}

/** A unit's circuit: changed on the strip or as text, solved at once, kept as a version. */
export function CircuitScreen({ unitId, leftBy }: CircuitScreenProps) {
  const places = useAppSelector((state) => state.places.places)
  const unit = places?.units.find(({ id }) => id === unitId)
  const diagram = places?.diagrams.find(({ id }) => id === unit?.diagram)
  if (!unit || !diagram)
    return (
      <Screen head={<Heading title="Circuit" back="/sites" />}>
        <Words>This unit is not known here. It may come with the next signal.</Words>
      </Screen>
    )
  return <CircuitEditor key={diagram.id} unit={unit} diagram={diagram} leftBy={leftBy} />
}

const ways = [
  { id: 'strip', words: 'On the strip' },
  { id: 'leads', words: 'Lead by lead' },
  { id: 'plate', words: 'Plate' },
  { id: 'text', words: 'As text' },
  { id: 'change', words: 'What changes' },
] as const

interface CircuitEditorProps {
  readonly unit: UnitRecord
  readonly diagram: DiagramRecord
  readonly leftBy: string
}

function CircuitEditor({ unit, diagram, leftBy }: CircuitEditorProps) {
  const wide = useWide()
  const left = useAsLeft(diagram.ladder, leftBy)
  const { text, canUndo, set, undo } = useHistory(left.text)
  const [chosenWay, setWay] = useState<(typeof ways)[number]['id']>('strip')
  // wide, the strip stands beside whatever is written
  const way = wide && chosenWay === 'strip' ? 'text' : chosenWay
  const [call, setCall] = useState('')
  const sketched = useSketch(text, call)
  const isChanged = text !== diagram.ladder
  const editor = (
    <Suspense fallback={<Words quiet>The editor is coming …</Words>}>
      <LadderEditor text={text} problems={sketched.problems} onChange={set} />
    </Suspense>
  )
  // what is typed goes before what is drawn of it
  const drawn = useDeferredValue(text)
  const drawing = <CircuitDrawing sketched={sketched} text={drawn} onCall={setCall} onEdited={set} />
  const written = {
    strip: drawing,
    leads: <LeadsForm text={text} onEdited={set} />,
    plate: <PlateForm text={text} onEdited={set} />,
    text: editor,
    change: <Changes before={diagram.ladder} after={text} onEdited={set} />,
  }
  return (
    <Screen
      maxWidth={wide ? 1180 : 760}
      head={
        <Heading
          title={`Circuit of ${unit.label}`}
          below={sketched.sketch?.title ?? diagram.title}
          back={`/units/${unit.id}`}
          right={<Press kind="quiet" title="Undo" disabled={!canUndo} onPress={undo} />}
        />
      }
      foot={
        <KeepFoot
          unit={unit}
          diagram={diagram}
          text={text}
          isChanged={isChanged}
          problems={sketched.problems.length}
        />
      }
    >
      <Chips
        label="How to change it"
        options={wide ? ways.filter(({ id }) => id !== 'strip') : ways}
        chosen={way}
        onChoose={setWay}
      />
      {left.notDrawn.map((words) => (
        <Notice key={words} kind="caution">{`Not drawn in: ${words}`}</Notice>
      ))}
      <Problems sketched={sketched} />
      {wide ? (
        <Line gap="huge" align="flex-start">
          <Stack grows>{written[way]}</Stack>
          <Stack grows gap="medium">
            {drawing}
          </Stack>
        </Line>
      ) : (
        written[way]
      )}
      <CircuitFiles
        text={text}
        kept={diagram.id}
        name={unit.label}
        isReadable={sketched.problems.length === 0}
        onEdited={set}
      />
    </Screen>
  )
}

interface ChangesProps {
  readonly before: string
  readonly after: string
  readonly onEdited: (text: string) => void
}

/** What the edits so far make of the circuit that the unit has. */
function Changes({ before, after, onEdited }: ChangesProps) {
  const change = useCircuitChange(before, after)
  const diagrams = useMemo(() => [readableLadder(before), readableLadder(after)] as const, [before, after])
  const [was, now] = diagrams
  if (!was || !now) return <Words quiet>Put right what is marked first.</Words>
  return (
    <>
      {change ? <ChangeView change={change} before={was} after={now} /> : <Words quiet>Solving both …</Words>}
      <ReadyChanges text={after} diagram={now} onEdited={onEdited} />
    </>
  )
}

const shownProblems = 4

function Problems({ sketched: { problems } }: { readonly sketched: Sketched }) {
  return (
    <>
      {problems.slice(0, shownProblems).map(({ line, message }) => (
        <Notice key={`${line} ${message}`} kind="wrong">{`Line ${line}: ${message}`}</Notice>
      ))}
      {problems.length > shownProblems ? (
        <Words quiet>{`and ${problems.length - shownProblems} more`}</Words>
      ) : null}
    </>
  )
}
