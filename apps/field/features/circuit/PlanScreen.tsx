import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import type { DiagramRecord, UnitRecord } from '@jokulgale/contract/places'
import { changeText } from '@jokulgale/core/changes/changeText'
import { readableLadder } from '@jokulgale/core/diagram/readLadder'
import { Check } from '../../ui/Check'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { SharePress } from '../../ui/SharePress'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { useMayEdit } from '../places/useMayEdit'
import { useAppSelector } from '../store'
import { useSync } from '../sync/SyncContext'
import { ChangeView } from './ChangeView'
import { useCircuitChange } from './useCircuitChange'

/** A change of a unit’s circuit that somebody means to make: what is moved, what it does, how it is proven. */
export function PlanScreen({ unitId }: { readonly unitId: string }) {
  const places = useAppSelector((state) => state.places.places)
  const unit = places?.units.find(({ id }) => id === unitId)
  const circuit = (id: string | undefined) => places?.diagrams.find((diagram) => diagram.id === id)
  const now = circuit(unit?.diagram)
  const plan = circuit(unit?.plan)
  if (!unit || !now || !plan)
    return (
      <Screen head={<Heading title="Planned change" back={`/units/${unitId}`} />}>
        <Words quiet>Nothing is planned for this unit.</Words>
      </Screen>
    )
  return <Plan unit={unit} now={now} plan={plan} />
}

interface PlanProps {
  readonly unit: UnitRecord
  readonly now: DiagramRecord
  readonly plan: DiagramRecord
}

function Plan({ unit, now, plan }: PlanProps) {
  const change = useCircuitChange(now.ladder, plan.ladder)
  const before = useMemo(() => readableLadder(now.ladder), [now.ladder])
  const after = useMemo(() => readableLadder(plan.ladder), [plan.ladder])
  const title = `${unit.label}: ${plan.why || 'planned change'}`
  return (
    <Screen
      head={<Heading title={`Planned for ${unit.label}`} below={plan.why} back={`/units/${unit.id}`} />}
      foot={<PlanFoot unit={unit} plan={plan} />}
    >
      <Notice kind="caution">
        Isolate, lock out and prove dead before a lead is moved. The maker’s diagram, local code and a
        licence, where it asks for one, come before this list.
      </Notice>
      {change && before && after ? (
        <ChangeView change={change} before={before} after={after} />
      ) : (
        <Words quiet>Solving both circuits …</Words>
      )}
      {change ? (
        <SharePress title="Hand the list on" subject={title} text={changeText(title, change)} />
      ) : null}
    </Screen>
  )
}

/** The plan becomes the circuit when it is carried out and proven; until then it may be dropped. */
function PlanFoot({ unit, plan }: Pick<PlanProps, 'unit' | 'plan'>) {
  const sync = useSync()
  const router = useRouter()
  const [isDone, setDone] = useState(false)
  const mayEdit = useMayEdit()
  if (!mayEdit) return null
  const leave = (changes: Parameters<typeof sync.editPlace>[2]): void => {
    void sync.editPlace('unit', unit.id, changes).then(() => {
      router.navigate(`/units/${unit.id}`)
    })
  }
  const noPlan = { field: 'plan', from: plan.id, to: '' }
  return (
    <Stack padding="medium" gap="small">
      <Check
        title="Every lead and part of the list is as it says, and I have looked at each"
        on={isDone}
        onPress={() => {
          setDone(!isDone)
        }}
      />
      <Line gap="small">
        <Press
          kind="main"
          grow
          title="The unit is wired so now"
          disabled={!isDone}
          onPress={() => {
            leave([{ field: 'diagram', from: unit.diagram, to: plan.id }, noPlan])
          }}
        />
        <Press
          title="Drop the plan"
          onPress={() => {
            leave([noPlan])
          }}
        />
      </Line>
    </Stack>
  )
}
