import { useState } from 'react'
import { View } from 'react-native'
import { isRight, type Found, type ListStep } from '@jokulgale/core/bench/lists/checkList'
import { unitOf } from '@jokulgale/core/circuit/meters'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { numberTyped } from './numberTyped'

interface StepCardProps {
  readonly step: ListStep
  readonly number: number
  readonly found: Found | undefined
  readonly onFound: (found: Found | null) => void
}

const answers = [
  { id: 'right', words: 'Right' },
  { id: 'wrong', words: 'Wrong' },
  { id: 'not-tried', words: 'Could not' },
] as const

/** One step of a list: what to do, what should be, and what was found; a value is judged as it is typed. */
export function StepCard({ step, number, found, onFound }: StepCardProps) {
  const { does, should, wrong, caution, reading } = step
  const [typed, setTyped] = useState('')
  const right = isRight(step, found)
  return (
    <View style={{ gap: space.hair, paddingBottom: space.medium }}>
      <Words strong>{`${number}. ${does}`}</Words>
      <Words size="small" quiet>
        {should}
      </Words>
      {caution ? <Notice kind="caution">{caution}</Notice> : null}
      {reading ? (
        <>
          <Field
            label={`Step ${number}, ${unitOf(reading.meter)}`}
            value={typed}
            inputMode="text"
            placeholder={reading.most === Infinity ? 'number or OL' : ''}
            onChangeText={(text) => {
              setTyped(text)
              onFound(numberTyped(text) ?? null)
            }}
          />
          <Chips
            label={`Step ${number}`}
            options={[
              ...(reading.most === Infinity ? [{ id: 'OL', words: 'OL' } as const] : []),
              { id: 'not-tried', words: 'Could not' },
            ]}
            chosen={found === Infinity ? 'OL' : found === 'not-tried' ? 'not-tried' : null}
            onChoose={(chosen) => {
              setTyped(chosen === 'OL' ? 'OL' : '')
              onFound(chosen === 'OL' ? Infinity : 'not-tried')
            }}
          />
        </>
      ) : (
        <Chips
          label={`Step ${number}`}
          options={answers}
          chosen={typeof found === 'string' ? found : null}
          onChoose={onFound}
        />
      )}
      {right === false ? <Notice kind="wrong">{wrong}</Notice> : null}
    </View>
  )
}
