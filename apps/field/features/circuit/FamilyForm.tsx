import { useState } from 'react'
import { withPlateUnread } from '@jokulgale/core/diagram/plateRatings'
import type { Chosen, Family } from '@jokulgale/core/families/family'
import { families } from '@jokulgale/core/families/index'
import { Chips } from '../../ui/Chips'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'

interface FamilyFormProps {
  /** The ladder text of the unit that was put together; none of its plate is read yet. */
  readonly onTake: (ladder: string) => void
}

/** A unit put together from what its family may have: option by option, as one sees them on the unit. */
export default function FamilyForm({ onTake }: FamilyFormProps) {
  const [family, setFamily] = useState<Family | null>(null)
  const [chosen, setChosen] = useState<Chosen>({})
  return (
    <Stack gap="medium">
      <Words quiet>What is it?</Words>
      <Chips
        label="Family"
        options={families.map(({ id, words }) => ({ id, words }))}
        chosen={family?.id ?? null}
        onChoose={(id) => {
          setFamily(families.find((each) => each.id === id)?.read() ?? null)
          setChosen({})
        }}
      />
      {family ? (
        <>
          {family.optionsOf(chosen).map(({ id, words, values }) => (
            <Stack key={id} gap="hair">
              <Words strong>{words}</Words>
              <Chips
                label={words}
                options={values}
                chosen={chosen[id] ?? values[0].id}
                onChoose={(value) => {
                  setChosen({ ...chosen, [id]: value })
                }}
              />
            </Stack>
          ))}
          <Words size="small" quiet>
            Ratings are only the usual ones until somebody reads the plate: Circuit, Plate.
          </Words>
          <Press
            kind="main"
            title="Take this circuit"
            onPress={() => {
              onTake(withPlateUnread(family.ladderOf(chosen)))
            }}
          />
        </>
      ) : null}
    </Stack>
  )
}
