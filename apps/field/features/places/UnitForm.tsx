import { yupResolver } from '@hookform/resolvers/yup'
import { useRouter } from 'expo-router'
import { Controller, useForm } from 'react-hook-form'
import { object, string } from 'yup'
import type { UnitRecord } from '@jokulgale/contract/places'
import { isDay } from '@jokulgale/core/places/placeProblems'
import { FormField } from '../../ui/FormField'
import { FormFoot } from '../../ui/FormFoot'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { Words } from '../../ui/Words'
import { useSubmit } from '../session/useSubmit'
import { useAppSelector } from '../store'
import { newId } from '../sync/newId'
import { useSync } from '../sync/SyncContext'
import { changesOf } from './changesOf'
import { CircuitChooser } from './CircuitChooser'
import { circuitsToChoose } from './circuits'
import { OtherValues } from './OtherValues'

const text = () => string().max(200, 'at most 200 letters').defined()
const unitSchema = object({
  label: text().trim().required('a unit needs a label, as on its door: RTU-3'),
  place: text(),
  diagram: text().required('choose the circuit that the unit has'),
  make: text(),
  serial: text(),
  installed: text().test(
    'a day',
    'write the day as 2014-05-12, or leave it empty',
    (day) => day === '' || isDay(day, new Date().getFullYear() + 1),
  ),
})

const nothingKnown = { label: '', place: '', diagram: '', make: '', serial: '', installed: '' }

const valuesOf = (unit: UnitRecord | undefined): typeof nothingKnown =>
  unit
    ? {
        label: unit.label,
        place: unit.place,
        diagram: unit.diagram,
        make: unit.make,
        serial: unit.serial,
        installed: unit.installed,
      }
    : nothingKnown

/** A unit: made on a site, or edited, with or without a signal. What nobody knows stays empty. */
export function UnitForm({ id, siteId }: { readonly id: string | null; readonly siteId: string }) {
  const sync = useSync()
  const router = useRouter()
  const places = useAppSelector((state) => state.places.places)
  const unit = places?.units.find((known) => known.id === id)
  const site = places?.sites.find((known) => known.id === (unit?.site ?? siteId))
  const before = valuesOf(unit)
  const form = useForm({ resolver: yupResolver(unitSchema), defaultValues: before })
  const { control } = form
  const { submit, problem } = useSubmit(form, async (given) => {
    const unitId = id ?? newId()
    const changes = changesOf(before, given)
    await sync.editPlace(
      'unit',
      unitId,
      id === null ? [{ field: 'site', from: '', to: siteId }, ...changes] : changes,
    )
    router.navigate(`/units/${unitId}`)
  })
  if (!site)
    return (
      <Screen head={<Heading title="Unit" back="/sites" />}>
        <Words>This site is not known here. It may come with the next signal.</Words>
      </Screen>
    )
  return (
    <Screen
      head={
        <Heading
          title={unit ? unit.label : 'A new unit'}
          below={site.name}
          back={unit ? `/units/${unit.id}` : '/sites'}
        />
      }
      foot={<FormFoot title={unit ? 'Keep' : 'Add the unit'} onPress={submit} />}
    >
      {id ? <OtherValues of="unit" place={id} values={before} /> : null}
      <FormField control={control} name="label" label="Label, as on its door" autoCapitalize="characters" />
      <Controller
        control={control}
        name="diagram"
        render={({ field, fieldState }) => (
          <CircuitChooser
            circuits={circuitsToChoose(places?.diagrams ?? [], places?.units ?? [])}
            chosen={field.value}
            onChoose={field.onChange}
            error={fieldState.error?.message}
          />
        )}
      />
      <FormField control={control} name="place" label="Where it is" placeholder="Roof, north end" />
      <FormField control={control} name="make" label="Make and model" />
      <FormField control={control} name="serial" label="Serial number" autoCapitalize="characters" />
      <FormField control={control} name="installed" label="Installed, if known" placeholder="2014-05-12" />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      {unit ? (
        <Press
          title={unit.archived ? 'Bring it back' : 'Archive this unit'}
          onPress={() => {
            const [from, to] = unit.archived ? ['yes', ''] : ['', 'yes']
            void sync.editPlace('unit', unit.id, [{ field: 'archived', from, to }])
            router.navigate('/sites')
          }}
        />
      ) : null}
    </Screen>
  )
}
