import { codeIn } from '../parts/codeWord'
import type { EntryBody } from './entry'

/** What was seen at a look, as an entry: a code is kept as one. */
export function observationOf(of: string, seen: string): EntryBody & { readonly kind: 'observation' } {
  const code = codeIn(seen)
  return code === null
    ? { kind: 'observation', what: seen, of }
    : { kind: 'observation', what: 'code', of, words: code }
}
