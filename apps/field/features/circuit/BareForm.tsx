import { useState } from 'react'
import {
  bareClasses,
  bareControls,
  bareHeats,
  bareLadder,
  bareSupplies,
  mayControlByLine,
  type BareControl,
} from '@jokulgale/core/diagram/bareLadder'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'

const coolings = [
  { id: 'none', words: 'none', stages: 0 },
  { id: 'one', words: 'one', stages: 1 },
  { id: 'two', words: 'two', stages: 2 },
] as const

/** A unit with no diagram: what is seen of it before its first lead is traced. */
export default function BareForm({ onTake }: { readonly onTake: (ladder: string) => void }) {
  const [title, setTitle] = useState('')
  const [unitClass, setClass] = useState<(typeof bareClasses)[number]['id']>('fan-coil')
  const [supply, setSupply] = useState(bareSupplies[0])
  const [cooling, setCooling] = useState<(typeof coolings)[number]['id']>('one')
  const [heat, setHeat] = useState(bareHeats[0])
  const [control, setControl] = useState<BareControl>('transformer')
  return (
    <Stack gap="medium">
      <Words quiet>
        No diagram on the panel? Say what is seen; then each lead is drawn as it is traced, and what nobody
        has followed yet stays open.
      </Words>
      <Field
        label="What one would call it"
        value={title}
        onChangeText={setTitle}
        placeholder="Wall fan coil"
      />
      <Choice label="Kind of unit" options={bareClasses} chosen={unitClass} onChoose={setClass} />
      <Choice
        label="Supply"
        options={bareSupplies}
        chosen={supply.id}
        onChoose={(id) => {
          setSupply(bareSupplies.find((each) => each.id === id) ?? bareSupplies[0])
        }}
      />
      {mayControlByLine(supply) ? (
        <Choice label="Control" options={bareControls} chosen={control} onChoose={setControl} />
      ) : null}
      <Choice label="Cooling stages" options={coolings} chosen={cooling} onChoose={setCooling} />
      <Choice
        label="Heat"
        options={bareHeats}
        chosen={heat.id}
        onChoose={(id) => {
          setHeat(bareHeats.find((each) => each.id === id) ?? bareHeats[0])
        }}
      />
      <Press
        kind="main"
        title="Begin with this"
        disabled={title.trim() === ''}
        onPress={() => {
          onTake(
            bareLadder({
              title: title.trim(),
              unitClass,
              supply,
              stages: coolings.find(({ id }) => id === cooling)?.stages ?? 1,
              heat,
              control,
            }),
          )
        }}
      />
    </Stack>
  )
}

interface ChoiceProps<Id extends string> {
  readonly label: string
  readonly options: readonly { readonly id: Id; readonly words: string }[]
  readonly chosen: Id
  readonly onChoose: (id: Id) => void
}

function Choice<Id extends string>({ label, options, chosen, onChoose }: ChoiceProps<Id>) {
  return (
    <Stack gap="hair">
      <Words strong>{label}</Words>
      <Chips label={label} options={options} chosen={chosen} onChoose={onChoose} />
    </Stack>
  )
}
