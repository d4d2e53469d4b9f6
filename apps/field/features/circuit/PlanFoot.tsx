import { useRouter } from 'expo-router'
import { useState } from 'react'
import type { DiagramRecord, UnitRecord } from '@jokulgale/contract/places'
import { workOf } from '@jokulgale/core/changes/changeText'
import type { CircuitChange } from '@jokulgale/core/changes/circuitChange'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { Check } from '../../ui/Check'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { useMayEdit } from '../places/useMayEdit'
import { useSync } from '../sync/SyncContext'

/** The register has a line for it: what is longer stands in the visit. */
const mostName = 80

interface PlanFootProps {
  readonly unit: UnitRecord
  readonly plan: DiagramRecord
  /** What it changes; null while that is being worked out. */
  readonly change: CircuitChange | null
  /** What was put down as the unit was isolated for it; empty until it is proven dead. */
  readonly isolation: readonly EntryBody[]
  /** It is to be undone one day, and stands in the register until then. */
  readonly isForNow: boolean
  /** The plan is carried out or dropped: what was isolated for it is not wanted any more. */
  readonly onLeft: () => void
}

/**
 * The plan becomes the circuit when it is carried out, and is proven in a visit on that circuit; until then it may be
 * dropped.
 */
export function PlanFoot({ unit, plan, change, isolation, isForNow, onLeft }: PlanFootProps) {
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
    // its leads were moved isolated: that power comes back is said in the visit, with what belongs to it
    for (const entry of isolation) await sync.say(visit, entry)
    await sync.say(visit, {
      kind: 'rewired',
      words: why,
      done: workOf(work),
      prove: prove.map(({ id }) => id),
    })
    if (isForNow)
      await sync.say(visit, { kind: 'temporary', sort: 'wired-for-now', of: why.slice(0, mostName) })
    onLeft()
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
      {isolation.length === 0 ? (
        <Words size="small" quiet>
          Isolated and proven dead first: above.
        </Words>
      ) : null}
      <Line gap="small">
        <Press
          kind="main"
          grow
          title="It is wired so: prove it"
          disabled={!isDone || change === null || isolation.length === 0}
          onPress={() => {
            if (change) void carriedOut(change)
          }}
        />
        <Press
          title="Drop the plan"
          onPress={() => {
            void sync.editPlace('unit', unit.id, [noPlan]).then(() => {
              onLeft()
              router.navigate(`/units/${unit.id}`)
            })
          }}
        />
      </Line>
    </Stack>
  )
}
