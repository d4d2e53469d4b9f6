import { codeWord } from '../parts/codeWord'
import { storedWord } from '../parts/storedCode'
import { seenWords } from '../parts/lookVocabulary'
import type { EntryBody } from './entry'

type Observation = Pick<EntryBody & { readonly kind: 'observation' }, 'what' | 'words'>

/** The word of a look that an observation says: a code, or one that was stored, stands in its words. */
export function observedWord({ what, words }: Observation): string {
  if (!words) return what
  return what === 'code' ? codeWord(words) : what === 'stored' ? storedWord(words) : what
}

/** What was seen, as a sentence has it. */
export const observedWords = (observation: Observation): string => seenWords(observedWord(observation))
