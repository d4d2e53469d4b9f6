import { useState } from 'react'
import { partWords } from '@jokulgale/core/diagram/diagram'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

/** Fault lamps and codes as seen, before a door switch erases them. A code is evidence, never a verdict. */
export function Codes({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const [part, setPart] = useState<string | null>(null)
  const parts = [...new Set(diagram.codes.map(({ part: of }) => of))]
  if (parts.length === 0) return null
  const seen = (of: string): string | undefined =>
    state.observations.filter(({ body }) => body.what === 'code' && body.of === of).at(-1)?.body.words
  return (
    <Part title="Fault lamps, as seen before a door is opened">
      {parts.map((of) => (
        <Press
          key={of}
          title={`${partWords(diagram, of)}: ${seen(of) ?? 'not looked at'}`}
          onPress={() => {
            setPart(of)
          }}
        />
      ))}
      <Sheet
        title={diagram.parts.get(part ?? '')?.words ?? ''}
        open={part !== null}
        onClose={() => {
          setPart(null)
        }}
      >
        {diagram.codes
          .filter((code) => code.part === part)
          .map(({ code, words }) => (
            <Stack key={code} gap="hair">
              <Press
                title={code}
                label={`${code}: ${words}`}
                selected={seen(part ?? '') === code}
                onPress={() => {
                  void say({ kind: 'observation', what: 'code', of: part ?? '', words: code })
                  setPart(null)
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
