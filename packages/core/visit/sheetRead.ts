import type { EntryBody, ProofPlace, ProofValue } from './entry'
import { isNear, type ProofSheet } from './proofLine'

/** The sheet of a call as somebody reads it: passed where every value is near what is expected. */
export function sheetRead(
  { call, lines }: ProofSheet,
  read: (at: ProofPlace) => number | null,
): EntryBody & { readonly kind: 'proof' } {
  const values = lines.flatMap(({ what, unit, expected, at }): readonly ProofValue[] => {
    const value = at ? read(at) : null
    return at && value !== null && expected !== null ? [{ what, value, unit, expected, at }] : []
  })
  const passed = values.every(({ value, expected }) => isNear(expected ?? null, value))
  return { kind: 'proof', call, words: '', passed, values }
}
