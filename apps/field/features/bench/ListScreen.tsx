import { useRouter } from 'expo-router'
import { useMemo, useState } from 'react'
import {
  listEntry,
  listReadings,
  listVerdict,
  type BenchList,
  type Found,
} from '@jokulgale/core/bench/lists/checkList'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { Chips } from '../../ui/Chips'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'
import { BenchPage } from './BenchPage'
import { mayRead } from './mayRead'
import { StepCard } from './StepCard'
import { useBegunList } from './useBegunList'
import { useUnits } from '../units/useUnits'
import { VerdictView } from './VerdictView'

interface ListScreenProps {
  readonly list: BenchList
  readonly visit: OpenVisit | null
}

/** A list of the bench, step by step, alone or on a visit; what is not proven is said with what is. */
export function ListScreen({ list, visit }: ListScreenProps) {
  const router = useRouter()
  const units = useUnits()
  const parts = useMemo(() => (visit ? list.parts(visit.diagram) : []), [list, visit])
  const [part, setPart] = useState(parts[0] ?? '')
  const { answers, keep: setAnswers } = useBegunList(visit ? `${visit.id} ${list.id} ${part}` : null)
  const steps = useMemo(() => list.steps(visit?.diagram ?? null, part, units), [list, visit, part, units])
  const keep = async (on: OpenVisit): Promise<void> => {
    for (const reading of listReadings(steps, answers)) if (mayRead(on, reading)) await on.say(reading)
    await on.say(listEntry(list, steps, answers, part))
    setAnswers({})
    router.navigate(`/visits/${on.id}`)
  }
  const answer = (step: string, found: Found | null): void => {
    const { [step]: _, ...rest } = answers
    setAnswers(found === null ? rest : { ...rest, [step]: found })
  }
  return (
    <BenchPage
      title={list.title}
      group={list.group}
      visit={visit}
      mayKeep={Object.keys(answers).length > 0}
      onKeep={(on) => {
        void keep(on)
      }}
    >
      <Words>{list.use}</Words>
      <Notice kind="caution">{list.caution}</Notice>
      {visit && parts.length > 1 ? (
        <Part title="Where">
          <Chips
            label="Where"
            options={parts.map((id) => ({ id, words: `${id} ${partWords(visit.diagram, id)}` }))}
            chosen={part}
            onChoose={setPart}
          />
        </Part>
      ) : null}
      {steps.map((step, k) => (
        <StepCard
          key={`${part} ${step.id}`}
          step={step}
          number={k + 1}
          found={answers[step.id]}
          onFound={(found) => {
            answer(step.id, found)
          }}
        />
      ))}
      {Object.keys(answers).length > 0 ? (
        <VerdictView outcome={{ is: 'verdict', verdict: listVerdict(steps, answers) }} hasTyped />
      ) : null}
      <Words size="small" quiet>
        {list.source}
      </Words>
    </BenchPage>
  )
}
