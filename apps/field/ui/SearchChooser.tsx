import { useState } from 'react'
import { Field } from './Field'
import { Press } from './Press'
import { Row } from './Row'
import { Stack } from './Stack'

export interface Choosable {
  readonly id: string
  readonly title: string
  readonly below: string
}

interface SearchChooserProps {
  readonly options: readonly Choosable[]
  readonly chosen: string | null
  readonly onChoose: (id: string) => void
  /** What is chosen: “part”, “lead”. */
  readonly what: string
  readonly placeholder: string
}

const shown = 8

/** Chooses one of many by a few letters of its name or words. */
export function SearchChooser({ options, chosen, onChoose, what, placeholder }: SearchChooserProps) {
  const [sought, setSought] = useState<string | null>(null)
  const now = options.find(({ id }) => id === chosen)
  if (sought === null)
    return (
      <Press
        title={now ? `${now.title}  ${now.below}` : `Choose a ${what}`}
        label={now ? `${capital(what)} in hand: ${now.below}. Change` : `Choose a ${what}`}
        onPress={() => {
          setSought('')
        }}
      />
    )
  const wanted = sought.trim().toLowerCase()
  const found = options.filter(({ title, below }) => `${title} ${below}`.toLowerCase().includes(wanted))
  return (
    <Stack gap="hair">
      <Field
        label={`Find a ${what}`}
        value={sought}
        onChangeText={setSought}
        autoFocus
        placeholder={placeholder}
      />
      {found.slice(0, shown).map(({ id, title, below }) => (
        <Row
          key={id}
          title={title}
          below={below}
          label={`${capital(what)} ${title}`}
          onPress={() => {
            setSought(null)
            onChoose(id)
          }}
        />
      ))}
    </Stack>
  )
}

const capital = (word: string): string => `${word.charAt(0).toUpperCase()}${word.slice(1)}`
