import { useMemo, useState } from 'react'
import { partOfPoint, type Diagram, type Wire } from '@jokulgale/core/diagram/diagram'
import { drawLead, followLead, openLeads, type FarEnd } from '@jokulgale/core/diagram/drawLead'
import type { LadderEdit } from '@jokulgale/core/diagram/editLadder'
import { readableLadder } from '@jokulgale/core/diagram/readLadder'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { diagnosisService } from '../../workers/diagnosis'
import { NewPartForm, type NewPartEnd } from './NewPartForm'

interface LeadsFormProps {
  readonly text: string
  readonly onEdited: (text: string) => void
}

/** A circuit drawn lead by lead, as it is traced at the unit; what nobody has followed yet stays open. */
export function LeadsForm({ text, onEdited }: LeadsFormProps) {
  const [problem, setProblem] = useState('')
  const diagram = useMemo(() => readableLadder(text), [text])
  /** Takes an edit; the calls that reach something now get their trace. */
  const take = async (edit: LadderEdit): Promise<boolean> => {
    if (edit.is === 'problem') {
      setProblem(edit.message)
      return false
    }
    setProblem('')
    onEdited(await diagnosisService().traced(edit.text))
    return true
  }
  if (!diagram) return <Words quiet>Put right what is marked first.</Words>
  return (
    <Stack gap="large">
      <OpenEnds
        diagram={diagram}
        onFollowed={(wire, point) => take(followLead(text, diagram, wire, point))}
      />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <NextLead diagram={diagram} onDraw={(lead) => take(drawLead(text, diagram, lead))} />
    </Stack>
  )
}

interface OpenEndsProps {
  readonly diagram: Diagram
  readonly onFollowed: (wire: Wire, point: string) => Promise<boolean>
}

function OpenEnds({ diagram, onFollowed }: OpenEndsProps) {
  const [points, setPoints] = useState<Readonly<Record<string, string>>>({})
  const open = openLeads(diagram)
  if (open.length === 0) return null
  return (
    <Part title="Not traced to their end yet">
      {open.map((wire) => (
        <Line key={wire.id} align="flex-end" gap="small">
          <Stack grows>
            <Field
              label={`${wire.color} ${wire.number} from ${wire.from} goes to`}
              value={points[wire.id] ?? ''}
              onChangeText={(point) => {
                setPoints({ ...points, [wire.id]: point })
              }}
              autoCapitalize="characters"
              placeholder="TB.C"
            />
          </Stack>
          <Press
            title="There"
            label={`${wire.color} ${wire.number} goes there`}
            disabled={(points[wire.id] ?? '').trim() === ''}
            onPress={() => {
              void onFollowed(wire, (points[wire.id] ?? '').trim())
            }}
          />
        </Line>
      ))}
    </Part>
  )
}

const ends = [
  { id: 'terminal', words: 'a terminal' },
  { id: 'new-part', words: 'a part not drawn yet' },
  { id: 'not-traced', words: 'not traced yet' },
] as const

interface NextLeadProps {
  readonly diagram: Diagram
  readonly onDraw: (lead: Parameters<typeof drawLead>[2]) => Promise<boolean>
}

function NextLead({ diagram, onDraw }: NextLeadProps) {
  const [from, setFrom] = useState('')
  const [color, setColor] = useState('')
  const [number, setNumber] = useState('1')
  const [end, setEnd] = useState<(typeof ends)[number]['id']>('terminal')
  const [point, setPoint] = useState('')
  const [part, setPart] = useState<NewPartEnd | null>(null)
  const farEnd = (): FarEnd => {
    if (end === 'terminal') return { is: 'terminal', point: point.trim() }
    return end === 'new-part' && part ? { is: 'new-part', ...part } : { is: 'not-traced' }
  }
  const goOn = (reached: FarEnd): void => {
    setNumber(nextNumber(number))
    setPoint('')
    setPart(null)
    if (reached.is === 'new-part') setFrom(`${reached.id}.${part?.leaves ?? ''}`)
    else setFrom('')
  }
  const draw = async (): Promise<void> => {
    const to = farEnd()
    if (await onDraw({ from: from.trim(), color: color.trim(), number: number.trim(), to })) goOn(to)
  }
  const begins = freeEnds(diagram)
  return (
    <Part title="The next lead">
      <Field
        label="From terminal"
        value={from}
        onChangeText={setFrom}
        autoCapitalize="characters"
        placeholder="TB.Y1"
      />
      {begins.length > 0 ? (
        <Chips
          label="Terminals with nothing behind them yet"
          options={begins.map((id) => ({ id, words: id }))}
          chosen={from}
          onChoose={setFrom}
        />
      ) : null}
      <Line gap="small">
        <Stack grows>
          <Field
            label="Colour"
            value={color}
            onChangeText={setColor}
            autoCapitalize="none"
            placeholder="yellow"
          />
        </Stack>
        <Stack grows>
          <Field label="Number" value={number} onChangeText={setNumber} autoCapitalize="none" />
        </Stack>
      </Line>
      <Words strong>It goes to</Words>
      <Chips label="It goes to" options={ends} chosen={end} onChoose={setEnd} />
      {end === 'terminal' ? (
        <Field
          label="Terminal"
          value={point}
          onChangeText={setPoint}
          autoCapitalize="characters"
          placeholder="TB.C"
        />
      ) : null}
      {end === 'new-part' ? <NewPartForm diagram={diagram} part={part} onPart={setPart} /> : null}
      <Press
        kind="main"
        title="Draw this lead"
        disabled={end === 'new-part' && !part}
        onPress={() => {
          void draw()
        }}
      />
    </Part>
  )
}

/** The number after one, where it is a number. */
const nextNumber = (number: string): string => (/^\d+$/.test(number) ? String(Number(number) + 1) : number)

const shownEnds = 8

/** Terminals that one lead reaches and none leaves, and those of the same parts that none reaches: where to go on. */
function freeEnds({ points, wires, board }: Diagram): readonly string[] {
  const wired = new Set([...wires.values()].flatMap(({ from, to }) => [from, to]))
  const begun = new Set([...wired].map(partOfPoint))
  const once = [...wires.values()].flatMap(({ to }) => (partOfPoint(to) === board ? [to] : []))
  const left = new Set([...wires.values()].map(({ from }) => from))
  const unled = once.filter((point) => !left.has(point))
  const other = [...points.values()]
    .filter(({ id, part }) => begun.has(part) && !wired.has(id))
    .map(({ id }) => id)
  return [...new Set([...unled, ...other])].slice(0, shownEnds)
}
