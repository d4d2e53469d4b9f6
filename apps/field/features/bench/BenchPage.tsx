import type { ReactNode } from 'react'
import { FormFoot } from '../../ui/FormFoot'
import { Heading } from '../../ui/Heading'
import { Screen } from '../../ui/Screen'
import type { OpenVisit } from '../visit/useVisit'

interface BenchPageProps {
  readonly title: string
  readonly group: string
  readonly visit: OpenVisit | null
  /** Whether there is anything to put in the visit yet. */
  readonly mayKeep: boolean
  readonly onKeep: (visit: OpenVisit) => void
  readonly children: ReactNode
}

/** A tool or list of the bench: of a visit it ends in its log, and without one it is only looked at. */
export function BenchPage({ title, group, visit, mayKeep, onKeep, children }: BenchPageProps) {
  return (
    <Screen
      head={
        <Heading
          title={title}
          below={visit?.unit.label ?? group}
          back={visit ? `/bench?visit=${visit.id}` : '/bench'}
        />
      }
      foot={
        visit ? (
          <FormFoot
            title="Put it in the visit"
            disabled={!mayKeep}
            onPress={() => {
              onKeep(visit)
            }}
          />
        ) : undefined
      }
    >
      {children}
    </Screen>
  )
}
