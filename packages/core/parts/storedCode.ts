const before = 'stored '
/** What a control says that has stored no code. */
export const noCode = 'none'

/** A code that a control has stored, as a look says it; `noCode` where it has stored none. */
export const storedWord = (code: string): string => `${before}${code}`

/** The stored code that a look says, `noCode` for none; null where it says something else. */
export const storedIn = (seen: string): string | null =>
  seen.startsWith(before) ? seen.slice(before.length) : null
