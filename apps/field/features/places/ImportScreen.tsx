import { useRouter } from 'expo-router'
import { useEffect, useState } from 'react'
import type { Places } from '@jokulgale/contract/places'
import {
  listedUnits,
  mappingOf,
  unitColumns,
  type ColumnMapping,
  type ListedUnit,
} from '@jokulgale/core/places/unitList'
import { Check } from '../../ui/Check'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { FormFoot } from '../../ui/FormFoot'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { pickFile } from '../../ui/pickFile'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { toggled } from '../../ui/toggled'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { useSync } from '../sync/SyncContext'
import { CircuitChooser } from './CircuitChooser'
import { circuitsToChoose } from './circuits'
import { editsOfList } from './editsOfList'

const mostRows = 2000
const shownRows = 40
const nothing: readonly (readonly string[])[] = []

/** Brings in a list of units: a file or a paste, its columns, what is wrong by row, and then all or none of the rest. */
export function ImportScreen() {
  const [text, setText] = useState('')
  const table = useTable(text)
  const places = useAppSelector((state) => state.places.places)
  return (
    <Screen head={<Heading title="A list of units" back="/sites" />}>
      <Words quiet>
        A table with a line of heads: site, label, circuit, place, make, serial, installed. Commas, semicolons
        or tabs.
      </Words>
      <Press
        title="Choose a file"
        onPress={() => {
          void pickFile({ accept: '.csv,.txt,text/csv,text/plain', purpose: 'unit-list' })
            .then((file) => file?.text())
            .then((chosen) => {
              if (chosen !== undefined) setText(chosen)
            })
        }}
      />
      <Field label="Or paste it here" value={text} onChangeText={setText} multiline numberOfLines={4} />
      {table.length > mostRows + 1 ? (
        <Notice kind="wrong">{`At most ${mostRows} rows at once; this list has ${table.length - 1}.`}</Notice>
      ) : table.length > 1 && places ? (
        <Preview table={table} places={places} />
      ) : null}
    </Screen>
  )
}

/** The rows of a list with commas, semicolons or tabs. */
function useTable(text: string): readonly (readonly string[])[] {
  const [table, setTable] = useState(nothing)
  useEffect(() => {
    let isLast = true
    void import('../files/csv').then(({ parse }) => {
      const { data } = parse<string[]>(text.trim(), { skipEmptyLines: true })
      if (isLast) setTable(text.trim() === '' ? nothing : data)
    })
    return () => {
      isLast = false
    }
  }, [text])
  return table
}

function Preview({
  table: [heads, ...rows],
  places,
}: {
  readonly table: readonly (readonly string[])[]
  readonly places: Places
}) {
  const sync = useSync()
  const router = useRouter()
  const [chosenColumns, setColumns] = useState<Partial<ColumnMapping>>({})
  const [usual, setUsual] = useState('')
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)
  const circuits = circuitsToChoose(places.diagrams, places.units)
  const mapping = { ...mappingOf(heads), ...chosenColumns }
  const listed = listedUnits(rows, mapping, circuits, usual, new Date().getFullYear() + 1)
  const good = listed.filter(({ problems }) => problems.length === 0)
  const taken = good.filter(({ row }) => !left.has(row))
  const bringIn = async (): Promise<void> => {
    setBusy(true)
    try {
      await sync.sendPlaces(editsOfList(taken, places))
      router.navigate('/sites')
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error))
    } finally {
      setBusy(false)
    }
  }
  return (
    <Stack gap="large">
      <Columns
        heads={heads}
        mapping={mapping}
        onChange={(column, at) => {
          setColumns({ ...chosenColumns, [column]: at })
        }}
      />
      <CircuitChooser
        circuits={circuits}
        chosen={usual}
        onChoose={setUsual}
        error={undefined}
        asks="Circuit of rows that name none"
      />
      <Words strong>{`${good.length} of ${listed.length} rows can be brought in`}</Words>
      <Rows
        listed={listed}
        left={left}
        onToggle={(row) => {
          setLeft((before) => toggled(before, row))
        }}
      />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <FormFoot
        title={`Bring in ${taken.length} ${taken.length === 1 ? 'unit' : 'units'}`}
        disabled={taken.length === 0}
        busy={busy}
        onPress={() => {
          void bringIn()
        }}
      />
    </Stack>
  )
}

interface ColumnsProps {
  readonly heads: readonly string[]
  readonly mapping: ColumnMapping
  readonly onChange: (column: (typeof unitColumns)[number], at: number) => void
}

function Columns({ heads, mapping, onChange }: ColumnsProps) {
  const [open, setOpen] = useState(false)
  const said = unitColumns
    .filter((column) => mapping[column] >= 0)
    .map((column) => `${column}: ${heads[mapping[column]]}`)
  return (
    <Part title="Columns">
      <Words>{said.join(' · ') || 'None of the heads is known.'}</Words>
      <Press
        title={open ? 'Done' : 'Change the columns'}
        onPress={() => {
          setOpen(!open)
        }}
      />
      {open
        ? unitColumns.map((column) => (
            <Part key={column} title={column}>
              <Chips
                label={column}
                options={[
                  { id: '-1', words: 'none' },
                  ...heads.map((head, at) => ({ id: String(at), words: head || `column ${at + 1}` })),
                ]}
                chosen={String(mapping[column])}
                onChoose={(at) => {
                  onChange(column, Number(at))
                }}
              />
            </Part>
          ))
        : null}
    </Part>
  )
}

interface RowsProps {
  readonly listed: readonly ListedUnit[]
  readonly left: ReadonlySet<number>
  readonly onToggle: (row: number) => void
}

/** The rows that are wrong first, then the others, as far as a screen is of use. */
function Rows({ listed, left, onToggle }: RowsProps) {
  const wrong = listed.filter(({ problems }) => problems.length > 0)
  const good = listed.filter(({ problems }) => problems.length === 0)
  return (
    <Stack gap="hair">
      {wrong.slice(0, shownRows).map(({ row, values, problems }) => (
        <Notice key={row} kind="wrong">
          {`Row ${row}, ${values.label || 'no label'}: ${problems.join('; ')}`}
        </Notice>
      ))}
      {good.slice(0, shownRows).map(({ row, values }) => (
        <Check
          key={row}
          title={`${values.site}: ${values.label}${values.place ? `, ${values.place}` : ''}`}
          on={!left.has(row)}
          onPress={() => {
            onToggle(row)
          }}
        />
      ))}
      {listed.length > 2 * shownRows ? <Words quiet>{`and more: ${listed.length} in all`}</Words> : null}
    </Stack>
  )
}
