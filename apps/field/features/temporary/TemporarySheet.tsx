import { useState } from 'react'
import { passesByGuard } from '@jokulgale/core/diagram/guards'
import { temporarySortWords, temporaryWords, type TemporaryMeasure } from '@jokulgale/core/visit/temporary'
import { temporarySorts, type TemporarySort } from '@jokulgale/core/visit/entry'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'
import { LeaveForm } from './LeaveForm'

interface TemporarySheetProps {
  readonly visit: OpenVisit
  readonly open: boolean
  readonly onClose: () => void
}

/**
 * Everything that was put on this unit to come off again: bridges, stand-ins, restricted service, test gear.
 */
export function TemporarySheet({ visit, open, onClose }: TemporarySheetProps) {
  const [leaving, setLeaving] = useState<TemporaryMeasure | null>(null)
  const { measures } = visit.state
  if (leaving)
    return (
      <Sheet
        title="Leave it in place"
        open={open}
        onClose={() => {
          setLeaving(null)
        }}
      >
        <LeaveForm
          visit={visit}
          measure={leaving}
          onDone={() => {
            setLeaving(null)
          }}
        />
      </Sheet>
    )
  return (
    <Sheet title="Temporary measures" open={open} onClose={onClose}>
      {measures.length === 0 ? (
        <Words quiet>
          Nothing is on. Whatever you put on for a test goes in here, and the visit will not close silently
          over it.
        </Words>
      ) : null}
      {measures.map((measure) => (
        <MeasureRow
          key={measure.entry.id}
          visit={visit}
          measure={measure}
          onLeave={() => {
            setLeaving(measure)
          }}
        />
      ))}
      <AddMeasure visit={visit} />
    </Sheet>
  )
}

/** A bypass is said where it is put on, other wiring where its plan is carried out. */
const saidElsewhere: ReadonlySet<TemporarySort> = new Set(['bypass', 'wired-for-now'])

function MeasureRow({
  visit,
  measure,
  onLeave,
}: {
  readonly visit: OpenVisit
  readonly measure: TemporaryMeasure
  readonly onLeave: () => void
}) {
  const guard = passesByGuard(visit.diagram, measure.of, measure.to)
  const remove = (): void => {
    void visit.say(
      measure.sort === 'bridge'
        ? { kind: 'action', do: 'unbridge', of: measure.of, to: measure.to }
        : { kind: 'temporary-removed', entry: measure.entry.id },
    )
  }
  return (
    <Stack gap="hair">
      <Words strong>{temporaryWords(measure)}</Words>
      {measure.left ? (
        <Words size="small" quiet>{`Left until ${measure.left.expires}. ${measure.left.hazard}`}</Words>
      ) : null}
      {guard ? (
        <Notice kind="wrong">
          A safety control is out of its circuit. The unit stays off, somebody is told; this is no repair.
        </Notice>
      ) : null}
      <Line gap="small">
        <Press
          grow
          kind="main"
          title="It is off"
          label={`${temporaryWords(measure)}: it is off`}
          onPress={remove}
        />
        {measure.left ? null : (
          <Press grow title="Leave it …" label={`${temporaryWords(measure)}: leave it`} onPress={onLeave} />
        )}
      </Line>
    </Stack>
  )
}

function AddMeasure({ visit }: { readonly visit: OpenVisit }) {
  const [sort, setSort] = useState<TemporarySort | null>(null)
  const [of, setOf] = useState('')
  const add = (): void => {
    if (!sort) return
    void visit.say({ kind: 'temporary', sort, of: of.trim() || visit.diagram.id })
    setSort(null)
    setOf('')
  }
  return (
    <Part title="Put something on">
      <Chips
        label="What was put on"
        options={temporarySorts
          .filter((id) => !saidElsewhere.has(id))
          .map((id) => ({ id, words: temporarySortWords[id] }))}
        chosen={sort}
        onChoose={setSort}
      />
      {sort ? (
        <>
          <Field
            label="Where, or what is off"
            value={of}
            onChangeText={setOf}
            placeholder="TB.Y1, CC2, second stage off until the part comes"
          />
          <Press title={`Record: ${temporarySortWords[sort]}`} onPress={add} />
        </>
      ) : null}
    </Part>
  )
}
