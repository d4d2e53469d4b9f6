import { useRouter } from 'expo-router'
import { useState } from 'react'
import type { DiagramRecord, UnitRecord } from '@jokulgale/contract/places'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { diagnosisService } from '../../workers/diagnosis'
import { useAppSelector } from '../store'
import { useSync } from '../sync/SyncContext'

interface KeepFootProps {
  readonly unit: UnitRecord
  readonly diagram: DiagramRecord
  readonly text: string
  readonly isChanged: boolean
  readonly problems: number
}

/** What an edited circuit is: how the unit is wired now, or how somebody means to wire it. */
type Standing = 'wired-so' | 'planned'

/** Keeps the circuit as a new version: for this unit, for those that have had the same one, or as a plan. */
export function KeepFoot({ unit, diagram, text, isChanged, problems }: KeepFootProps) {
  const sync = useSync()
  const router = useRouter()
  const units = useAppSelector((state) => state.places.places?.units ?? [])
  const [withSisters, setWithSisters] = useState(false)
  const [asked, setAsked] = useState<{ readonly as: Standing; readonly losesGuards: boolean } | null>(null)
  const sisters = units.filter(
    (other) => other.diagram === diagram.id && other.site === unit.site && other.id !== unit.id,
  )
  const keep = async (as: Standing, why: string): Promise<void> => {
    const made = await sync.makeDiagram(text, diagram.id, why)
    const field = as === 'planned' ? 'plan' : 'diagram'
    for (const { id, [field]: from } of [unit, ...(withSisters ? sisters : [])])
      await sync.editPlace('unit', id, [{ field, from, to: made }])
    router.navigate(as === 'planned' ? `/units/${unit.id}/plan` : `/units/${unit.id}`)
  }
  const begin = async (as: Standing): Promise<void> => {
    const losesGuards = await diagnosisService().losesGuards(diagram.ladder, text)
    if (as === 'wired-so' && !losesGuards) await keep(as, '')
    else setAsked({ as, losesGuards })
  }
  const isReady = isChanged && problems === 0
  return (
    <Stack padding="medium" gap="small">
      {isChanged && sisters.length > 0 ? (
        <Check
          title={`Also for ${sisters.map(({ label }) => label).join(', ')}, which have had the same`}
          on={withSisters}
          onPress={() => {
            setWithSisters(!withSisters)
          }}
        />
      ) : null}
      <Line gap="small">
        <Press
          kind="main"
          grow
          title={problems > 0 ? 'Put right what is marked first' : 'Keep this circuit'}
          disabled={!isReady}
          onPress={() => {
            void begin('wired-so')
          }}
        />
        {isReady ? (
          <Press
            title="Keep as a plan"
            onPress={() => {
              void begin('planned')
            }}
          />
        ) : null}
      </Line>
      {asked ? (
        <WhySheet
          as={asked.as}
          losesGuards={asked.losesGuards}
          onClose={() => {
            setAsked(null)
          }}
          onKeep={(why) => {
            setAsked(null)
            void keep(asked.as, why)
          }}
        />
      ) : null}
    </Stack>
  )
}

interface WhySheetProps {
  readonly as: Standing
  readonly losesGuards: boolean
  readonly onClose: () => void
  readonly onKeep: (why: string) => void
}

/** What a plan is for, or how it came that a safety control is out of its circuit. */
function WhySheet({ as, losesGuards, onClose, onKeep }: WhySheetProps) {
  const [why, setWhy] = useState('')
  if (as === 'planned' && losesGuards)
    return (
      <Sheet title="No plan without its safety controls" open onClose={onClose}>
        <Notice kind="wrong">
          This circuit takes a safety control out of its place: “What changes” names it. A plan keeps every
          pressure, limit, smoke, float and phase control in series with what it stops.
        </Notice>
      </Sheet>
    )
  return (
    <Sheet
      title={as === 'planned' ? 'Keep as a plan' : 'Found without a safety control'}
      open
      onClose={onClose}
    >
      {losesGuards ? (
        <Notice kind="wrong">
          As it is drawn now, a safety control no longer stops what it should. If that is how the unit was
          found, it is off until that is put right: say who was told.
        </Notice>
      ) : (
        <Words quiet>The unit keeps its circuit until somebody says that the plan is carried out.</Words>
      )}
      <Field
        label={losesGuards ? 'How it was found, and who was told' : 'What it is for'}
        value={why}
        onChangeText={setWhy}
        multiline
      />
      <Press
        kind="main"
        title={as === 'planned' ? 'Keep the plan' : 'Keep it as found'}
        disabled={why.trim() === ''}
        onPress={() => {
          onKeep(why.trim())
        }}
      />
    </Sheet>
  )
}
