import { useState } from 'react'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Words } from '../../ui/Words'
import { momentWords } from '../../ui/days'
import { IsolationForm } from '../safety/IsolationForm'
import type { PlanIsolated } from '../sync/device'

interface PlanIsolationProps {
  /** The circuit as it is before a lead is moved. */
  readonly diagram: Diagram
  readonly isolated: PlanIsolated | null
  readonly onProven: (entries: readonly EntryBody[]) => void
  /** It does not hold any more: power was on again, or a lock is off. */
  readonly onOver: () => void
}

/** The unit proven dead before a lead of a plan is moved: the visit that proves the change begins with that. */
export function PlanIsolation({ diagram, isolated, onProven, onOver }: PlanIsolationProps) {
  const [isOpen, setOpen] = useState(false)
  return (
    <Part title="Isolated for it">
      {isolated ? (
        <>
          <Words>{`Isolated, proven dead: ${momentWords(isolated.at)}.`}</Words>
          <Words>It stands first in the visit that proves the change.</Words>
          <Press title="It was switched on since: prove dead anew" onPress={onOver} />
        </>
      ) : (
        <>
          <Words>Before the first lead is moved: it belongs to the record of the change.</Words>
          <Press
            title="Isolate, lock, prove dead"
            onPress={() => {
              setOpen(true)
            }}
          />
        </>
      )}
      <Sheet
        title="Isolate and prove dead"
        open={isOpen}
        onClose={() => {
          setOpen(false)
        }}
      >
        <IsolationForm
          diagram={diagram}
          onProven={(entries) => {
            setOpen(false)
            onProven(entries)
          }}
        />
      </Sheet>
    </Part>
  )
}
