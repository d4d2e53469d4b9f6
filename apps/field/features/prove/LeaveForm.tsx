import { useState } from 'react'
import type { Of } from '@jokulgale/core/visit/fold'
import { leavingProblems } from '@jokulgale/core/visit/leaving'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'

type Closing = Omit<Of<'sign-off'>, 'kind'>

interface LeaveFormProps {
  /** What the building is told. */
  readonly words: string
  /** Something else has to be said before any sign-off. */
  readonly isHeld: boolean
  readonly onClose: (closing: Closing) => void
}

const ways = [
  { outcome: 'restricted', title: 'Left restricted' },
  { outcome: 'left-off', title: 'Left off' },
] as const

/** Not repaired: what is left, who was told, and until when it may stay so. */
export function LeaveForm({ words, isHeld, onClose }: LeaveFormProps) {
  const [open, setOpen] = useState(false)
  const [told, setTold] = useState('')
  const [until, setUntil] = useState('')
  if (!open)
    return (
      <Press
        title="Not repaired: leave it restricted or off"
        onPress={() => {
          setOpen(true)
        }}
      />
    )
  const closingAs = (outcome: Closing['outcome']): Closing => ({
    outcome,
    words,
    told: told.trim(),
    until: until.trim(),
  })
  const problems = leavingProblems(closingAs('restricted'))
  const isDay = until === '' || /^\d{4}-\d{2}-\d{2}$/.test(until.trim())
  return (
    <Stack gap="small">
      <Field label="Who was told" value={told} onChangeText={setTold} />
      <Field
        label="Until"
        value={until}
        onChangeText={setUntil}
        placeholder="2026-12-24"
        errorMessage={isDay ? undefined : 'write the day as 2026-12-24'}
      />
      {problems.map((problem) => (
        <Words key={problem} quiet>
          {problem}
        </Words>
      ))}
      <Line gap="small">
        {ways.map(({ outcome, title }) => (
          <Press
            key={outcome}
            grow
            title={title}
            disabled={isHeld || problems.length > 0 || !isDay}
            onPress={() => {
              onClose(closingAs(outcome))
            }}
          />
        ))}
      </Line>
    </Stack>
  )
}
