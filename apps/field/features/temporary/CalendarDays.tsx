import { useState } from 'react'
import type { OpenMeasure } from '@jokulgale/contract/register'
import type { Of } from '@jokulgale/core/visit/fold'
import { newDays, type NewDay } from '@jokulgale/core/visit/newDays'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { pickFile } from '../../ui/pickFile'
import { Press } from '../../ui/Press'
import { Words } from '../../ui/Words'
import { useSync } from '../sync/SyncContext'

interface CalendarDaysProps {
  readonly measures: readonly OpenMeasure[]
  /** What was said of measures, by their identity. */
  readonly onKept: (said: ReadonlyMap<string, Of<'temporary-left'>>) => void
}

/** Days that were moved in a calendar, brought back: nothing changes until it is said who allows it. */
export function CalendarDays({ measures, onKept }: CalendarDaysProps) {
  const sync = useSync()
  const [found, setFound] = useState<readonly NewDay<OpenMeasure>[]>([])
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [problem, setProblem] = useState('')
  const [allowedBy, setAllowedBy] = useState('')
  const [told, setTold] = useState('')
  const chosen = found.filter(({ measure }) => !left.has(measure.id))
  const read = async (): Promise<void> => {
    const file = await pickFile({ accept: '.ics,text/calendar', purpose: 'calendar' })
    if (file === null) return
    try {
      const { readCalendar } = await import('../files/calendar')
      const moved = newDays(measures, readCalendar(await file.text()))
      setFound(moved)
      setLeft(new Set())
      setProblem(moved.length > 0 ? '' : 'Every day in this calendar is as it is here.')
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error))
    }
  }
  const keep = async (): Promise<void> => {
    const said = new Map<string, Of<'temporary-left'>>()
    for (const { measure, day } of chosen) {
      if (!measure.left) continue
      const body = { ...measure.left, authorisedBy: allowedBy.trim(), told: told.trim(), expires: day }
      await sync.say(measure.visit, body)
      said.set(measure.id, body)
    }
    setFound([])
    onKept(said)
  }
  return (
    <>
      <Press
        title="Read in a calendar"
        onPress={() => {
          void read()
        }}
      />
      {problem ? <Notice kind="caution">{problem}</Notice> : null}
      {found.length > 0 ? (
        <Part title="Other days in the calendar">
          {found.map(({ measure, was, day }) => (
            <Check
              key={measure.id}
              title={`${measure.unit.label}, ${measure.words}: until ${day} instead of ${was}`}
              on={!left.has(measure.id)}
              onPress={() => {
                setLeft((now) =>
                  now.has(measure.id)
                    ? new Set([...now].filter((id) => id !== measure.id))
                    : new Set([...now, measure.id]),
                )
              }}
            />
          ))}
          <Words size="small" quiet>
            A day moved in a calendar allows nothing: say who does, and who was told.
          </Words>
          <Field label="Who allows the other day" value={allowedBy} onChangeText={setAllowedBy} />
          <Field label="Who was told of it" value={told} onChangeText={setTold} />
          <Press
            kind="main"
            title="Keep these days"
            disabled={chosen.length === 0 || allowedBy.trim() === '' || told.trim() === ''}
            onPress={() => {
              void keep()
            }}
          />
        </Part>
      ) : null}
    </>
  )
}
