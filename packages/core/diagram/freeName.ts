import type { Diagram } from './diagram'

/**
 * So many letters of a single word: one alone would be taken for a terminal, R for the hot side of control
 * power.
 */
const lettersOfOneWord = 3

/** A name that is free, from the words of a kind: `LPS`, then `LPS2`. */
export function freeName(diagram: Diagram, words: string): string {
  const each = words.split(/[^a-z]+/i).filter(Boolean)
  const [only] = each
  const letters = each.length === 1 ? only.slice(0, lettersOfOneWord) : each.map(([first]) => first).join('')
  const own = letters.toUpperCase()
  let name = own
  for (let k = 2; diagram.parts.has(name); k++) name = `${own}${k}`
  return name
}
