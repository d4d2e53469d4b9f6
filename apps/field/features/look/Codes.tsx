import { useState } from 'react'
import { partWords, type Diagram, type FaultCode } from '@jokulgale/core/diagram/diagram'
import { noCode } from '@jokulgale/core/parts/storedCode'
import { observedWords } from '@jokulgale/core/visit/observedWords'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

/** What its lamp shows now, or a code that it has stored and gives when it is asked. */
type Asked = 'code' | 'stored'

/** Fault lamps and codes as seen, before a door switch erases them. A code is evidence, never a verdict. */
export function Codes({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const [asked, setAsked] = useState<{ readonly of: string; readonly what: Asked } | null>(null)
  const parts = [...new Set(diagram.codes.map(({ part: of }) => of))]
  if (parts.length === 0) return null
  const seen = (of: string, what: Asked): string | undefined =>
    state.observations.filter(({ body }) => body.what === what && body.of === of).at(-1)?.body.words
  const choices = asked ? choicesOf(diagram, asked.of, asked.what) : []
  const close = (): void => {
    setAsked(null)
  }
  return (
    <Part title="Fault lamps, as seen before a door is opened">
      {parts.map((of) => (
        <Stack key={of} gap="small">
          <Press
            title={`${partWords(diagram, of)}: ${seen(of, 'code') ?? 'not looked at'}`}
            onPress={() => {
              setAsked({ of, what: 'code' })
            }}
          />
          {diagram.parts.get(of)?.kind.stores ? (
            <Press
              title={`${partWords(diagram, of)}: ${storedSaid(seen(of, 'stored'))}`}
              onPress={() => {
                setAsked({ of, what: 'stored' })
              }}
            />
          ) : null}
        </Stack>
      ))}
      <Sheet
        title={asked ? sheetTitle(partWords(diagram, asked.of), asked.what) : ''}
        open={asked !== null}
        onClose={close}
      >
        {choices.map(({ code, shown, words }) => (
          <Stack key={code} gap="hair">
            <Press
              title={shown}
              label={`${shown}: ${words}`}
              selected={asked !== null && seen(asked.of, asked.what) === code}
              onPress={() => {
                if (asked) void say({ kind: 'observation', what: asked.what, of: asked.of, words: code })
                close()
              }}
            />
            <Words size="small" quiet>
              {words}
            </Words>
          </Stack>
        ))}
      </Sheet>
    </Part>
  )
}

const storedSaid = (words: string | undefined): string =>
  words === undefined ? 'stored code not asked for' : observedWords({ what: 'stored', words })

const sheetTitle = (name: string, what: Asked): string => (what === 'stored' ? `${name}: stored code` : name)

interface Choice extends Pick<FaultCode, 'code' | 'words'> {
  readonly shown: string
}

const nothingStored: Choice = {
  code: noCode,
  shown: storedSaid(noCode),
  words: 'It gives none when it is asked',
}

/** Codes that a lamp shows, or those that may be stored, and none. */
function choicesOf({ codes, parts }: Diagram, of: string, what: Asked): readonly Choice[] {
  const own = codes.filter(({ part }) => part === of).map((one): Choice => ({ ...one, shown: one.code }))
  if (what === 'code') return own
  const stored = parts.get(of)?.kind.stores?.codes ?? []
  return [...own.filter(({ code }) => stored.includes(code)), nothingStored]
}
