import { seenWords } from '@jokulgale/core/parts/lookVocabulary'
import { lookChoices } from '@jokulgale/core/parts/lookWords'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'
import { Line } from '../../ui/Line'

interface SeenSheetProps {
  readonly visit: OpenVisit
  readonly open: boolean
  readonly onSaw: (of: string, what: string) => void
  readonly onClose: () => void
}

/** Anything seen without a meter: a contactor in, a motor still, a lamp dark. */
export function SeenSheet({ visit, open, onSaw, onClose }: SeenSheetProps) {
  const parts = [...visit.diagram.parts.values()].filter(
    ({ kind, settings }) => lookChoices(kind, settings).length > 0,
  )
  return (
    <Sheet title="What do you see?" open={open} onClose={onClose}>
      {parts.map((part) => (
        <Stack key={part.id} gap="hair">
          <Words strong>{part.words}</Words>
          <Line wraps gap="small">
            {lookChoices(part.kind, part.settings).map((what) => (
              <Press
                key={what}
                grow
                title={seenWords(what)}
                label={`${part.words}: ${seenWords(what)}`}
                onPress={() => {
                  onSaw(part.id, what)
                }}
              />
            ))}
          </Line>
        </Stack>
      ))}
    </Sheet>
  )
}
