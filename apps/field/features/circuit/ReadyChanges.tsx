import { useMemo, useState } from 'react'
import { readyChanges } from '@jokulgale/core/changes/readyChanges'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'

interface ReadyChangesProps {
  readonly text: string
  readonly diagram: Diagram
  readonly onEdited: (text: string) => void
}

/** Changes that this unit is ready for: made in the text, looked at like any other, and undone as one. */
export function ReadyChanges({ text, diagram, onEdited }: ReadyChangesProps) {
  const [problem, setProblem] = useState('')
  const ready = useMemo(() => readyChanges(diagram), [diagram])
  if (ready.length === 0) return null
  return (
    <Part title="Ready to plan">
      {ready.map(({ id, words, make }) => (
        <Press
          key={id}
          title={words}
          onPress={() => {
            const edit = make(text)
            setProblem(edit.is === 'problem' ? edit.message : '')
            if (edit.is === 'text') onEdited(edit.text)
          }}
        />
      ))}
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
    </Part>
  )
}
