import { useState } from 'react'
import { Notice } from './Notice'
import { Press } from './Press'
import { Stack } from './Stack'

type Outcome = 'shared' | 'copied' | 'not'

interface SharePressProps {
  readonly title: string
  readonly subject: string
  readonly text: string
}

/** Hands a text on by the device’s share sheet, else by its clipboard, and says which it was. */
export function SharePress({ title, subject, text }: SharePressProps) {
  const [outcome, setOutcome] = useState<Outcome | null>(null)
  return (
    <Stack gap="small">
      <Press
        title={title}
        onPress={() => {
          void share(subject, text).then(setOutcome)
        }}
      />
      {outcome ? (
        <Notice kind={outcome === 'not' ? 'caution' : 'good'}>
          {
            {
              shared: 'Handed on.',
              copied: 'Copied: paste it where it is needed.',
              not: 'Not handed on.',
            }[outcome]
          }
        </Notice>
      ) : null}
    </Stack>
  )
}

function share(title: string, text: string): Promise<Outcome> {
  const handed: Promise<Outcome> =
    typeof navigator.share === 'function'
      ? navigator.share({ title, text }).then(() => 'shared')
      : navigator.clipboard.writeText(text).then(() => 'copied')
  return handed.catch(() => 'not')
}
