import { useState } from 'react'
import { View } from 'react-native'
import { openCauses, repairOf } from '@jokulgale/core/visit/openCauses'
import { ratingFields, unlikeness } from '@jokulgale/core/visit/likeForLike'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

const conditions = [
  { id: 'new', words: 'New' },
  { id: 'proven-on-bench', words: 'Spare, proven on the bench' },
  { id: 'unknown', words: 'Spare, condition unknown' },
] as const

/** A part that was fitted, compared with the one that was there: same coil volts, poles, bar, rating. */
export function PartUsedForm({ visit, part }: { readonly visit: OpenVisit; readonly part: string }) {
  const { diagram, state, say } = visit
  const [open, setOpen] = useState(false)
  const [words, setWords] = useState('')
  const [dateCode, setDateCode] = useState('')
  const [bench, setBench] = useState<(typeof conditions)[number]['id'] | null>(null)
  const fields = ratingFields(diagram, part)
  const [rating, setRating] = useState<Readonly<Record<string, string>>>(
    Object.fromEntries(fields.map(({ setting, fitted }) => [setting, fitted])),
  )
  const body = {
    kind: 'part-used',
    of: part,
    words: words.trim(),
    dateCode: dateCode.trim(),
    rating,
    ...(bench ? { bench } : {}),
  } as const
  // a part that is fitted is the repair of what it takes the place of
  const record = async (): Promise<void> => {
    const isRepaired = state.repairs.some((other) => other.body.of === part)
    const isOpen = openCauses(state).some((cause) => cause.body.of === part)
    await say(body)
    if (isOpen || !isRepaired) await say(repairOf(state, part))
  }
  const used = state.partsUsed.filter((other) => other.body.of === part)
  return (
    <Stack gap="small">
      {used.map(({ entry, body: fitted }) => (
        <View key={entry.id}>
          <Words>{`Fitted: ${fitted.words || part}${fitted.dateCode ? `, date code ${fitted.dateCode}` : ''}`}</Words>
          {unlikeness(diagram, fitted).map((problem) => (
            <Notice key={problem} kind="caution">
              {problem}
            </Notice>
          ))}
        </View>
      ))}
      {open ? (
        <>
          <Field label="Part fitted" value={words} onChangeText={setWords} />
          <Field label="Date code" value={dateCode} onChangeText={setDateCode} />
          {fields.map(({ setting, words: name, fitted }) => (
            <Field
              key={setting}
              label={`${name} (the diagram has ${fitted})`}
              value={rating[setting] ?? ''}
              onChangeText={(text) => {
                setRating((now) => ({ ...now, [setting]: text }))
              }}
            />
          ))}
          <Chips label="Condition" options={conditions} chosen={bench} onChoose={setBench} />
          {unlikeness(diagram, body).map((problem) => (
            <Notice key={problem} kind="caution">
              {problem}
            </Notice>
          ))}
          <Press
            kind="main"
            title="Record the part"
            disabled={bench === null}
            onPress={() => {
              void record()
              setOpen(false)
            }}
          />
        </>
      ) : (
        <Press
          title="A part is fitted"
          onPress={() => {
            setOpen(true)
          }}
        />
      )}
    </Stack>
  )
}
