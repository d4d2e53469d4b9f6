import { useState } from 'react'
import { partWords } from '@jokulgale/core/diagram/diagram'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { powerOnProblems } from '@jokulgale/core/visit/visitState'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'
import { IsolationForm } from './IsolationForm'

export const powerWords = { on: 'Power on', off: 'Switched off', isolated: 'Isolated, proven dead' } as const

interface PowerSheetProps {
  readonly visit: OpenVisit
  readonly open: boolean
  /** It opens at the form of isolation. */
  readonly isolating?: boolean
  readonly onClose: () => void
}

/**
 * The power state of the unit and of its sections; isolation is a form of its own, because it has to be
 * proven.
 */
export function PowerSheet({ visit, open, isolating: startIsolating = false, onClose }: PowerSheetProps) {
  const [isolating, setIsolating] = useState(startIsolating)
  const { state, diagram, say } = visit
  const close = (): void => {
    setIsolating(false)
    onClose()
  }
  const proven = async (entries: readonly EntryBody[]): Promise<void> => {
    for (const entry of entries) await say(entry)
    close()
  }
  const holding = powerOnProblems(state, diagram)
  const several = diagram.isolators.length > 1
  return (
    <Sheet title={isolating ? 'Isolate and prove dead' : 'Power state'} open={open} onClose={close}>
      {isolating ? (
        <IsolationForm
          diagram={diagram}
          onProven={(entries) => {
            void proven(entries)
          }}
        />
      ) : (
        <>
          {state.power !== 'on'
            ? holding.map((problem) => (
                <Notice key={problem} kind="wrong">
                  {problem}
                </Notice>
              ))
            : null}
          <Press
            title={powerWords.on}
            selected={state.power === 'on' && state.off.length === 0}
            disabled={state.power !== 'on' && holding.length > 0}
            onPress={() => {
              close()
              void say({ kind: 'power', is: 'on' })
            }}
          />
          {several
            ? diagram.isolators.map((id) => (
                <Press
                  key={id}
                  title={`Only ${partWords(diagram, id)} off`}
                  onPress={() => {
                    close()
                    void say({ kind: 'power', is: 'off', of: id })
                  }}
                />
              ))
            : null}
          <Press
            title={powerWords.off}
            selected={state.power === 'off'}
            onPress={() => {
              close()
              void say({ kind: 'power', is: 'off' })
            }}
          />
          <Press
            kind="main"
            title="Isolate, lock, prove dead"
            onPress={() => {
              setIsolating(true)
            }}
          />
          <Stack gap="hair">
            <Words
              size="small"
              quiet
            >{`Sources of this unit: ${diagram.isolators.map((id) => partWords(diagram, id)).join(', ')}. Ohms and repairs only when every one is isolated and proven dead.`}</Words>
            {state.isolation ? (
              <Words
                size="small"
                quiet
              >{`Proven dead on ${state.isolation.body.legs.length} pairs, the tester proven before and after.`}</Words>
            ) : null}
          </Stack>
        </>
      )}
    </Sheet>
  )
}
