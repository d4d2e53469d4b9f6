import { addDays } from 'date-fns/addDays'
import { format } from 'date-fns/format'
import { useState } from 'react'
import { passesByGuard } from '@jokulgale/core/diagram/guards'
import { temporaryWords, type TemporaryMeasure } from '@jokulgale/core/visit/temporary'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

const terms = [
  { id: '1', words: '1 day' },
  { id: '3', words: '3 days' },
  { id: '7', words: '1 week' },
  { id: '30', words: '30 days' },
] as const

/** What has to be known of a measure that stays: hazard, reason, who allowed it, until when, who was told. */
export function LeaveForm({
  visit,
  measure,
  onDone,
}: {
  readonly visit: OpenVisit
  readonly measure: TemporaryMeasure
  readonly onDone: () => void
}) {
  const [hazard, setHazard] = useState('')
  const [reason, setReason] = useState('')
  const [authorisedBy, setAuthorisedBy] = useState('')
  const [told, setTold] = useState('')
  const [days, setDays] = useState<(typeof terms)[number]['id'] | null>(null)
  const missing = [hazard, reason, authorisedBy, told].some((words) => words.trim() === '') || days === null
  const leave = async (): Promise<void> => {
    if (days === null) return
    await visit.say({
      kind: 'temporary-left',
      entry: measure.entry.id,
      hazard: hazard.trim(),
      reason: reason.trim(),
      authorisedBy: authorisedBy.trim(),
      told: told.trim(),
      expires: format(addDays(new Date(), Number(days)), 'yyyy-MM-dd'),
    })
    onDone()
  }
  return (
    <>
      <Words strong>{temporaryWords(measure)}</Words>
      {passesByGuard(visit.diagram, measure.of, measure.to) ? (
        <Notice kind="wrong">
          This leaves a safety control out of its circuit. It is recorded; the visit stays unsafe and the unit
          is to be left off.
        </Notice>
      ) : null}
      <Field
        label="Hazard"
        value={hazard}
        onChangeText={setHazard}
        placeholder="What can happen while it is on"
      />
      <Field
        label="Reason"
        value={reason}
        onChangeText={setReason}
        placeholder="Why it cannot come off now"
      />
      <Field label="Authorised by" value={authorisedBy} onChangeText={setAuthorisedBy} />
      <Field label="Who was told" value={told} onChangeText={setTold} />
      <Chips label="Until" options={terms} chosen={days} onChoose={setDays} />
      <Press
        kind="main"
        title="Leave it, with its end date"
        disabled={missing}
        onPress={() => {
          void leave()
        }}
      />
    </>
  )
}
