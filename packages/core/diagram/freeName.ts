import type { Diagram } from './diagram'

/** A name that is free, from the words of a kind: `LPS`, then `LPS2`. */
export function freeName(diagram: Diagram, words: string): string {
  const letters = words
    .split(/[^a-z]+/i)
    .map(([first]) => first ?? '')
    .join('')
    .toUpperCase()
  let name = letters
  for (let k = 2; diagram.parts.has(name); k++) name = `${letters}${k}`
  return name
}
