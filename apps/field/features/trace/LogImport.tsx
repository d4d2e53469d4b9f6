import { useState } from 'react'
import { dropOutsOf, readMeterCsv } from '@jokulgale/core/formats/meterCsv'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import type { OpenVisit } from '../visit/useVisit'

/** Asks for a text file; null when none was chosen. */
const chooseText = (): Promise<string | null> =>
  new Promise((resolve) => {
    const input = document.createElement('input')
    input.type = 'file'
    input.accept = '.csv,text/csv,text/plain'
    input.style.display = 'none'
    input.dataset.purpose = 'meter-log'
    input.addEventListener('change', () => {
      const [file] = input.files ?? []
      input.remove()
      if (file) void file.text().then(resolve)
      else resolve(null)
    })
    input.addEventListener('cancel', () => {
      input.remove()
      resolve(null)
    })
    document.body.append(input)
    input.click()
  })

/** For what comes and goes: a meter's log with its drop-outs, each of them evidence. */
export function LogImport({ visit, onDone }: { readonly visit: OpenVisit; readonly onDone: () => void }) {
  const [problem, setProblem] = useState('')
  const take = async (): Promise<void> => {
    const text = await chooseText()
    if (text === null) return
    try {
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
