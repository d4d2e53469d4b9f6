import type { Reasoning } from '../visit/entry'
import type { SuspectBrief } from './briefing'

const shownRivals = 3
/** What nobody would have looked at is no rival. */
const rivalFrom = 1e-4
const mostSentences = 12

/** Why a suspect is taken for the cause: what speaks for it, and what spoke against the likeliest others. */
export function reasoningOf(suspect: SuspectBrief, all: readonly SuspectBrief[], program: string): Reasoning {
  return {
    program,
    chance: suspect.probability,
    shownBy: suspect.explains.slice(0, mostSentences),
    rivals: all
      .filter(({ id, probability }) => id !== suspect.id && probability > rivalFrom)
      .slice(0, shownRivals)
      .map(({ words, probability, against }) => ({
        words,
        chance: probability,
        against: against.slice(0, mostSentences),
      })),
  }
}
