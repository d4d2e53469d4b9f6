const before = 'code '

/** A code of an electronic part as a look says it. */
export const codeWord = (code: string): string => `${before}${code}`

/** The code that a look says; null where it says something else. */
export const codeIn = (seen: string): string | null =>
  seen.startsWith(before) ? seen.slice(before.length) : null
