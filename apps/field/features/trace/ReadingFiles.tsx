import { useState } from 'react'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { pickFile } from '../../ui/pickFile'
import { Press } from '../../ui/Press'
import { SavePress } from '../../ui/SavePress'
import type { OpenVisit } from '../visit/useVisit'

interface ReadingFilesProps {
  readonly visit: OpenVisit
  readonly onDone: () => void
}

const mostDrops = 20

/** Readings from files and as a file: a meter’s log of what comes and goes, and lists of readings. */
export function ReadingFiles({ visit, onDone }: ReadingFilesProps) {
  const [problem, setProblem] = useState('')
  /** Takes a file that is chosen; what is wrong with it is said, and nothing of it is taken. */
  const from = (purpose: string, take: (text: string) => Promise<string>): void => {
    void (async () => {
      const file = await pickFile({ accept: '.csv,text/csv,text/plain', purpose })
      if (file === null) return
      try {
        const wrong = await take(await file.text())
        setProblem(wrong)
        if (wrong === '') onDone()
      } catch (error) {
        setProblem(error instanceof Error ? error.message : String(error))
      }
    })()
  }
  return (
    <Part title="Files">
      <Press
        title="It comes and goes: read in a meter’s log"
        onPress={() => {
          from('meter-log', (text) => takeLog(visit, text))
        }}
      />
      <Press
        title="Read in a list of readings"
        onPress={() => {
          from('readings', (text) => takeReadings(visit, text))
        }}
      />
      <SavePress
        title="Keep the readings as a file"
        file={`${visit.unit.label}-readings.csv`}
        type="text/csv"
        make={async () => (await import('../files/csv')).readingsCsv(visit.bodies)}
      />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
    </Part>
  )
}

/** Each drop-out of a log as evidence; empty, or why there is none. */
async function takeLog({ diagram, say }: OpenVisit, text: string): Promise<string> {
  const { dropOutsOf, readMeterCsv } = await import('../files/csv')
  const drops = dropOutsOf(readMeterCsv(text, diagram.common))
  for (const { fell, held, atSeconds, lastsSeconds, first } of drops.slice(0, mostDrops))
    await say({
      kind: 'drop-out',
      fell,
      held,
      words: `at ${atSeconds} s for ${lastsSeconds} s, ${first.from} first`,
    })
  return drops.length > 0
    ? ''
    : 'Nothing drops out in this stretch. Log longer, or move the bundles while it runs.'
}

/** Readings as they are listed, in their calls. */
async function takeReadings({ diagram, state, say }: OpenVisit, text: string): Promise<string> {
  const { readReadings } = await import('../files/csv')
  const standing = { call: state.standing.call, isIsolated: state.power === 'isolated' }
  for (const entry of readReadings(text, diagram, standing)) await say(entry)
  return ''
}
