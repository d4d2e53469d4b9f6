import type { LookAsk } from '@jokulgale/core/diagnosis/briefing'
import { Press } from '../../ui/Press'

interface LookAnswersProps {
  readonly ask: LookAsk
  /** They are the main thing to press here. */
  readonly main?: true
  readonly onSaw: (of: string, what: string, call: string) => void
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** What may be seen at a look, side by side, one to be pressed. */
export function LookAnswers({ ask, main, onSaw }: LookAnswersProps) {
  return ask.answers.map(({ what, words }) => (
    <Press
      key={what}
      grow="from-words"
      {...(main ? { kind: 'main' } : {})}
      title={capital(words)}
      label={`${ask.ofWords}: ${words}`}
      onPress={() => {
        onSaw(ask.of, what, ask.call)
      }}
    />
  ))
}
