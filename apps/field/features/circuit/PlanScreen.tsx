import { useMemo, useState } from 'react'
import type { DiagramRecord, UnitRecord } from '@jokulgale/contract/places'
import { changeText } from '@jokulgale/core/changes/changeText'
import { readableLadder } from '@jokulgale/core/diagram/readLadder'
import { Chips } from '../../ui/Chips'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Screen } from '../../ui/Screen'
import { SharePress } from '../../ui/SharePress'
import { Words } from '../../ui/Words'
import { useMayEdit } from '../places/useMayEdit'
import { useAppSelector } from '../store'
import { ChangeView } from './ChangeView'
import { PlanFoot } from './PlanFoot'
import { PlanIsolation } from './PlanIsolation'
import { useCircuitChange } from './useCircuitChange'
import { usePlanIsolation } from './usePlanIsolation'

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

const stays = [
  { id: 'for-good', words: 'It is meant to stay' },
  { id: 'for-now', words: 'Only for the time being' },
] as const

interface PlanProps {
  readonly unit: UnitRecord
  readonly now: DiagramRecord
  readonly plan: DiagramRecord
}

function Plan({ unit, now, plan }: PlanProps) {
  const change = useCircuitChange(now.ladder, plan.ladder)
  const before = useMemo(() => readableLadder(now.ladder), [now.ladder])
  const after = useMemo(() => readableLadder(plan.ladder), [plan.ladder])
  const [staying, setStaying] = useState<(typeof stays)[number]['id']>('for-good')
  const { isolated, keep, forget } = usePlanIsolation(plan.id)
  const mayEdit = useMayEdit()
  const title = `${unit.label}: ${plan.why || 'planned change'}`
  return (
    <Screen
      head={<Heading title={`Planned for ${unit.label}`} below={plan.why} back={`/units/${unit.id}`} />}
      foot={
        <PlanFoot
          unit={unit}
          plan={plan}
          change={change}
          isolation={isolated?.entries ?? []}
          isForNow={staying === 'for-now'}
          onLeft={forget}
        />
      }
    >
      <Notice kind="caution">
        Isolate, lock out and prove dead before a lead is moved. The maker’s diagram, local code and a
        licence, where it asks for one, come before this list. Carried out, it is proven in a visit of its
        own, on the circuit as it is then; a visit that is open keeps the circuit that it began with.
      </Notice>
      {change && before && after ? (
        <ChangeView change={change} before={before} after={after} />
      ) : (
        <Words quiet>Solving both circuits …</Words>
      )}
      {change ? (
        <SharePress title="Hand the list on" subject={title} text={changeText(title, change)} />
      ) : null}
      {mayEdit && before ? (
        <PlanIsolation diagram={before} isolated={isolated} onProven={keep} onOver={forget} />
      ) : null}
      {mayEdit ? (
        <Part title="How long it stays">
          <Chips label="How long it stays" options={stays} chosen={staying} onChoose={setStaying} />
        </Part>
      ) : null}
    </Screen>
  )
}
