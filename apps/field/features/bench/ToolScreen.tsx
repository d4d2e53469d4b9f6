import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import {
  calculationEntry,
  conditionsGiven,
  exampleWords,
  filledAt,
  readingsGiven,
} from '@jokulgale/core/bench/fromVisit'
import { benchToolOf } from '@jokulgale/core/bench/index'
import type { BenchList } from '@jokulgale/core/bench/lists/checkList'
import { benchListOf } from '@jokulgale/core/bench/lists/index'
import type { BenchInput, BenchPlace, BenchTool } from '@jokulgale/core/bench/tool'
import { unitShown, valueKept, valueShown, type DisplayUnits } from '@jokulgale/core/physics/displayUnits'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Screen } from '../../ui/Screen'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { useUnits } from '../units/useUnits'
import { useVisit, type OpenVisit } from '../visit/useVisit'
import { BenchPage } from './BenchPage'
import { ListScreen } from './ListScreen'
import { LazyPicture } from './LazyPicture'
import { mayRead } from './mayRead'
import { numberTyped } from './numberTyped'
import { VerdictView } from './VerdictView'

/** One tool of the bench, alone or on a visit. */
export function ToolScreen({
  toolId,
  visitId,
}: {
  readonly toolId: string
  readonly visitId: string | null
}) {
  const tool = benchToolOf(toolId) ?? benchListOf(toolId)
  if (!tool)
    return (
      <Screen head={<Heading title="Bench" back="/bench" />}>
        <Words>There is no such tool on the bench.</Words>
      </Screen>
    )
  return visitId ? <ToolOnVisit tool={tool} visitId={visitId} /> : <AnyTool tool={tool} visit={null} />
}

type Any = BenchTool | BenchList

function ToolOnVisit({ tool, visitId }: { readonly tool: Any; readonly visitId: string }) {
  const visit = useVisit(visitId)
  return visit ? <AnyTool tool={tool} visit={visit} /> : <Words quiet>Looking for this visit.</Words>
}

const AnyTool = ({ tool, visit }: { readonly tool: Any; readonly visit: OpenVisit | null }) =>
  'work' in tool ? <ToolForm tool={tool} visit={visit} /> : <ListScreen list={tool} visit={visit} />

const nowhere: BenchPlace = { part: '', known: {}, readings: {} }

interface ToolFormProps {
  readonly tool: BenchTool
  readonly visit: OpenVisit | null
}

/** Numbers in, verdict out, while they are typed; what the unit and the visit know is filled in. */
function ToolForm({ tool, visit }: ToolFormProps) {
  const router = useRouter()
  const places = useMemo(() => (visit ? tool.places(visit.diagram) : []), [tool, visit])
  const [part, setPart] = useState(places[0]?.part ?? '')
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({})
  const place = places.find((each) => each.part === part) ?? nowhere
  const filled = useMemo(
    () =>
      filledAt(
        place,
        visit?.state.readings.map(({ body }) => body) ?? [],
        Object.fromEntries(
          (visit?.bodies ?? []).flatMap((body) => (body.kind === 'condition' ? [[body.of, body.value]] : [])),
        ),
      ),
    [place, visit],
  )
  const asked = Object.entries({ ...tool.inputs, ...tool.extras })
  const units = useUnits()
  const given = numbersOf(asked, typed, filled, units)
  const outcome = tool.work(given, units)
  const keep = async (on: OpenVisit): Promise<void> => {
    const entry = calculationEntry(tool, given, place.part)
    if (!entry) return
    // what was measured there is evidence like any other reading, where it can have been taken as the unit
    // stands
    for (const condition of conditionsGiven(place, given, filled)) await on.say(condition)
    for (const reading of readingsGiven(place, given, filled)) if (mayRead(on, reading)) await on.say(reading)
    await on.say(entry)
    router.navigate(`/visits/${on.id}`)
  }
  const problemAt = (input: string): string | undefined => {
    const problem =
      outcome.is === 'problems' ? outcome.problems.find((each) => each.input === input) : undefined
    // a field that nobody has come to yet is not wrong
    return problem && (typed[input] ?? '') !== '' ? problem.message : undefined
  }
  return (
    <BenchPage
      title={tool.title}
      group={tool.group}
      visit={visit}
      mayKeep={outcome.is === 'verdict'}
      onKeep={(on) => {
        void keep(on)
      }}
    >
      <Words>{tool.use}</Words>
      {tool.caution ? <Notice kind="caution">{tool.caution}</Notice> : null}
      {visit && places.length > 0 ? (
        <Part title="Where">
          <Chips
            label="Where"
            options={[
              ...places.map((each) => ({
                id: each.part,
                words: `${each.part} ${partWords(visit.diagram, each.part)}`,
              })),
              { id: '', words: 'somewhere else' },
            ]}
            chosen={part}
            onChoose={(chosen) => {
              setPart(chosen)
              setTyped({})
            }}
          />
        </Part>
      ) : null}
      <View>
        {asked.map(([input, of]) => (
          <InputField
            key={input}
            input={of}
            mayBeLeft={input in tool.extras}
            value={typed[input] ?? textOf(filled[input], of, units)}
            units={units}
            problem={problemAt(input)}
            onChange={(text) => {
              setTyped({ ...typed, [input]: text })
            }}
          />
        ))}
      </View>
      {place.picture ? <LazyPicture picture={place.picture} /> : null}
      <VerdictView outcome={outcome} hasTyped={Object.keys(typed).length > 0} />
      <Part title="An example">
        <Words size="small">{exampleWords(tool, units)}</Words>
      </Part>
      <Words size="small" quiet>
        {tool.source}
      </Words>
    </BenchPage>
  )
}

interface InputFieldProps {
  readonly input: BenchInput
  readonly mayBeLeft: boolean
  readonly value: string
  readonly units: DisplayUnits
  readonly problem: string | undefined
  readonly onChange: (text: string) => void
}

/** A number to type, or one of a few to choose. */
function InputField({ input, mayBeLeft, value, units, problem, onChange }: InputFieldProps) {
  const { words, unit, usual, among, mayOverload } = input
  if (among)
    return (
      <View style={{ gap: space.hair, paddingBottom: space.medium }}>
        <Words strong>{words}</Words>
        <Chips
          label={words}
          options={among.map((each) => ({ id: String(each.value), words: each.words }))}
          chosen={value}
          onChoose={onChange}
        />
      </View>
    )
  return (
    <Field
      label={labelOf(words, unitShown(unit, units), mayBeLeft)}
      value={value}
      onChangeText={onChange}
      inputMode={mayOverload ? 'text' : 'decimal'}
      errorMessage={problem}
      placeholder={mayOverload ? 'number or OL' : textOf(usual, input, units)}
    />
  )
}

const labelOf = (words: string, unit: string, mayBeLeft: boolean): string =>
  `${words}${unit === '' ? '' : `, ${unit}`}${mayBeLeft ? ' (if known)' : ''}`

const textOf = (value: number | undefined, { unit, sort }: BenchInput, units: DisplayUnits): string =>
  value === undefined ? '' : value === Infinity ? 'OL' : String(valueShown(value, unit, units, sort))

/** The numbers as typed; what was not typed is as it is known, or left out. */
function numbersOf(
  asked: readonly (readonly [string, BenchInput])[],
  typed: Readonly<Record<string, string>>,
  filled: Readonly<Record<string, number>>,
  units: DisplayUnits,
): Readonly<Record<string, number>> {
  return Object.fromEntries(
    asked.flatMap(([input, { unit, sort }]): readonly (readonly [string, number])[] => {
      const text = typed[input]
      if (text === undefined) return input in filled ? [[input, filled[input]]] : []
      const number = numberTyped(text)
      return number === undefined ? [] : [[input, valueKept(number, unit, units, sort)]]
    }),
  )
}
