import { useMemo, useState } from 'react'
import { plateRatings, rate, type PlateRating } from '@jokulgale/core/diagram/plateRatings'
import { readableLadder, readLadder } from '@jokulgale/core/diagram/readLadder'
import { Field } from '../../ui/Field'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'

interface PlateFormProps {
  readonly text: string
  readonly onEdited: (text: string) => void
}

/** The figures of the unit's plate, in its order. What is left empty counts as not known. */
export function PlateForm({ text, onEdited }: PlateFormProps) {
  const ratings = useMemo(() => ratingsOf(text), [text])
  if (ratings === null) return <Words quiet>Put the text right first: its parts cannot be read.</Words>
  return (
    <Stack gap="small">
      <Words size="small" quiet>
        As the plate says. Leave empty what you cannot read: then nothing is judged by it.
      </Words>
      {ratings.map((rating) => (
        <RatingField
          key={`${rating.part} ${rating.setting}`}
          rating={rating}
          text={text}
          onEdited={onEdited}
        />
      ))}
    </Stack>
  )
}

/** Null: the text cannot be read. */
function ratingsOf(text: string): readonly PlateRating[] | null {
  const diagram = readableLadder(text)
  return diagram && plateRatings(diagram)
}

interface RatingFieldProps extends PlateFormProps {
  readonly rating: PlateRating
}

/** One figure; it is kept when the field is left, since half a number is none. */
function RatingField({ rating: { part, setting, words, value, isRead }, text, onEdited }: RatingFieldProps) {
  const kept = isRead ? String(value) : ''
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const keep = (): void => {
    if (typed === null || typed.trim() === kept) {
      setTyped(null)
      return
    }
    const given = typed.trim().replace(',', '.')
    const edit = rate(text, readLadder(text), part, setting, given === '' ? null : Number(given))
    setProblem(edit.is === 'problem' ? edit.message : null)
    if (edit.is === 'problem') return
    setTyped(null)
    onEdited(edit.text)
  }
  return (
    <Field
      label={`${part}  ${words}`}
      value={typed ?? kept}
      onChangeText={setTyped}
      onBlur={keep}
      placeholder={`usually ${value}`}
      keyboardType="decimal-pad"
      errorMessage={problem ?? undefined}
    />
  )
}
