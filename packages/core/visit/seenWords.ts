/** What a look shows, as one says it. */
const lookWords: Readonly<Record<string, string>> = {
  'pulled-in': 'pulled in',
  'dropped-out': 'dropped out',
  'lamp-on': 'lamp on',
  'lamp-off': 'lamp off',
  'open-drawn': 'drawn open',
  shut: 'shut',
}

/** A word of a look as a sentence has it. */
export const seenWords = (seen: string): string => lookWords[seen] ?? seen.replaceAll('-', ' ')
