import { standingEntries, type Entry } from './log'

/** What people said on a visit, an entry a line, of those that stand: complaints, notes, repairs, sign-off. */
export const wordsOfVisit = (log: readonly Entry[]): readonly string[] =>
  standingEntries(log).flatMap(({ body }) =>
    'words' in body && body.words ? [body.words.replaceAll(/\s+/g, ' ').trim()] : [],
  )

/** Longer than anybody types to find something. */
const mostLetters = 100

/** The words that somebody seeks, in small letters. */
export const wordsSought = (sought: string): readonly string[] =>
  sought
    .slice(0, mostLetters)
    .toLowerCase()
    .match(/[\p{L}\p{N}]+/gu) ?? []

const wordsIn = (line: string): readonly string[] => line.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

const begins = (line: string, word: string): boolean => wordsIn(line).some((each) => each.startsWith(word))

/**
 * The line that most of what is sought begins a word of, where each of it begins a word of some line; null where
 * something of it is in none.
 */
export function lineFound(lines: readonly string[], sought: readonly string[]): string | null {
  if (sought.length === 0 || !sought.every((word) => lines.some((line) => begins(line, word)))) return null
  const hits = (line: string): number => sought.filter((word) => begins(line, word)).length
  return lines.reduce((best, line) => (hits(line) > hits(best) ? line : best))
}
