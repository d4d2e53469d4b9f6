import { useState } from 'react'
import { Press } from './Press'

/** Puts a text on the clipboard, and says so. */
export function CopyPress({ title, text }: { readonly title: string; readonly text: string }) {
  const [copied, setCopied] = useState(false)
  return (
    <Press
      title={copied ? 'Copied' : title}
      onPress={() => {
        navigator.clipboard.writeText(text).then(
          () => {
            setCopied(true)
          },
          // without a clipboard it can still be marked and copied by hand
          () => undefined,
        )
      }}
    />
  )
}
