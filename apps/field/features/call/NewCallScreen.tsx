import { useRouter } from 'expo-router'
import { useState } from 'react'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { Chips } from '../../ui/Chips'
import { Line } from '../../ui/Line'
import { Words } from '../../ui/Words'
import { Glance } from '../record/Glance'
import { useGlance } from '../record/useGlance'
import { useAppSelector } from '../store'
import { useSync } from '../sync/SyncContext'
import { usePrepared } from '../../workers/diagnosis'
import { callControllers } from './callControllers'

/** A new call on a unit: the complaint as a chip and in words, who controls the call. */
export function NewCallScreen({ unitId }: { readonly unitId: string }) {
  const router = useRouter()
  const sync = useSync()
  const places = useAppSelector((state) => state.places.places)
  const [words, setWords] = useState('')
  const [by, setBy] = useState<(typeof callControllers)[number]['id']>('thermostat')
  const glance = useGlance(unitId)
  const unit = places?.units.find(({ id }) => id === unitId)
  const site = places?.sites.find(({ id }) => id === unit?.site)
  const ladder = places?.diagrams.find(({ id }) => id === unit?.diagram)?.ladder
  usePrepared(ladder)
  if (!unit || !site || ladder === undefined)
    return (
      <Screen head={<Heading title="New call" back="/sites" />}>
        <Words>This unit is not known here. It may come with the next signal.</Words>
      </Screen>
    )
  const take = async (complaint: string): Promise<void> => {
    const visit = await sync.startVisit(unitId)
    await sync.say(visit, { kind: 'complaint', complaint, words: words.trim() })
    if (by !== 'thermostat') await sync.say(visit, { kind: 'controls', by })
    router.replace(`/visits/${visit}`)
  }
  return (
    <Screen head={<Heading title={`New call: ${unit.label}`} below={site.name} back="/sites" />}>
      <Field
        label="In the customer’s words"
        value={words}
        onChangeText={setWords}
        multiline
        placeholder="It blows, but it is not cold"
      />
      <Part title="Who controls the call">
        <Chips label="Who controls the call" options={callControllers} chosen={by} onChoose={setBy} />
      </Part>
      <Part title="Complaint: takes the call">
        <Line wraps gap="small">
          {knownLadder(ladder).complaints.map((complaint) => (
            <Press
              key={complaint.id}
              kind="main"
              title={complaint.words}
              onPress={() => {
                void take(complaint.id)
              }}
            />
          ))}
        </Line>
      </Part>
      {glance ? <Glance glance={glance} /> : null}
    </Screen>
  )
}
