import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import type { DiagramRecord, UnitRecord } from '@jokulgale/contract/places'
import { changeText, workOf } from '@jokulgale/core/changes/changeText'
import type { CircuitChange } from '@jokulgale/core/changes/circuitChange'
import { readableLadder } from '@jokulgale/core/diagram/readLadder'
import { Check } from '../../ui/Check'
import { Chips } from '../../ui/Chips'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
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

/** The register has a line for it: what is longer stands in the visit. */
const mostName = 80

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
  const mayEdit = useMayEdit()
  const title = `${unit.label}: ${plan.why || 'planned change'}`
  return (
    <Screen
      head={<Heading title={`Planned for ${unit.label}`} below={plan.why} back={`/units/${unit.id}`} />}
      foot={<PlanFoot unit={unit} plan={plan} change={change} isForNow={staying === 'for-now'} />}
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
      {mayEdit ? (
        <Part title="How long it stays">
          <Chips label="How long it stays" options={stays} chosen={staying} onChoose={setStaying} />
        </Part>
      ) : null}
    </Screen>
  )
}

interface PlanFootProps {
  readonly unit: UnitRecord
  readonly plan: DiagramRecord
  /** What it changes; null while that is being worked out. */
  readonly change: CircuitChange | null
  /** It is to be undone one day, and stands in the register until then. */
  readonly isForNow: boolean
}

/**
 * The plan becomes the circuit when it is carried out, and is proven in a visit on that circuit; until then it may be
 * dropped.
 */
function PlanFoot({ unit, plan, change, isForNow }: PlanFootProps) {
  const sync = useSync()
  const router = useRouter()
  const [isDone, setDone] = useState(false)
  const mayEdit = useMayEdit()
  if (!mayEdit) return null
  const noPlan = { field: 'plan', from: plan.id, to: '' }
  const why = plan.why || plan.title
  const carriedOut = async ({ prove, ...work }: CircuitChange): Promise<void> => {
    await sync.editPlace('unit', unit.id, [{ field: 'diagram', from: unit.diagram, to: plan.id }, noPlan])
    const visit = await sync.startVisit(unit.id)
    await sync.say(visit, { kind: 'arrived' })
    // its leads were moved with the power off: that it comes back is said in the visit, with what belongs to it
    await sync.say(visit, { kind: 'power', is: 'off' })
    await sync.say(visit, {
      kind: 'rewired',
      words: why,
      done: workOf(work),
      prove: prove.map(({ id }) => id),
    })
    if (isForNow)
      await sync.say(visit, { kind: 'temporary', sort: 'wired-for-now', of: why.slice(0, mostName) })
    router.navigate(`/visits/${visit}`)
  }
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
          title="It is wired so: prove it"
          disabled={!isDone || change === null}
          onPress={() => {
            if (change) void carriedOut(change)
          }}
        />
        <Press
          title="Drop the plan"
          onPress={() => {
            void sync.editPlace('unit', unit.id, [noPlan]).then(() => {
              router.navigate(`/units/${unit.id}`)
            })
          }}
        />
      </Line>
    </Stack>
  )
}
