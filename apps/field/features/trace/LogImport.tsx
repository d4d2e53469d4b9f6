import { useState } from 'react'
import { Notice } from '../../ui/Notice'
import { pickFile } from '../../ui/pickFile'
import { Press } from '../../ui/Press'
import type { OpenVisit } from '../visit/useVisit'

/** For what comes and goes: a meter's log with its drop-outs, each of them evidence. */
export function LogImport({ visit, onDone }: { readonly visit: OpenVisit; readonly onDone: () => void }) {
  const [problem, setProblem] = useState('')
  const take = async (): Promise<void> => {
    const file = await pickFile({ accept: '.csv,text/csv,text/plain', purpose: 'meter-log' })
    if (file === null) return
    const text = await file.text()
    try {
      const { dropOutsOf, readMeterCsv } = await import('../files/csv')
      const drops = dropOutsOf(readMeterCsv(text, visit.diagram.common))
      if (drops.length === 0) {
        setProblem('Nothing drops out in this stretch. Log longer, or move the bundles while it runs.')
        return
      }
      for (const { fell, held, atSeconds, lastsSeconds, first } of drops.slice(0, 20))
        await visit.say({
          kind: 'drop-out',
          fell,
          held,
          words: `at ${atSeconds} s for ${lastsSeconds} s, ${first.from} first`,
        })
      setProblem('')
      onDone()
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error))
    }
  }
  return (
    <>
      <Press
        title="It comes and goes: read in a meter’s log"
        onPress={() => {
          void take()
        }}
      />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
    </>
  )
}
