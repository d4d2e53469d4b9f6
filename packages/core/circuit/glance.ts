import type { Diagram } from '../diagram/diagram'
import { codeIn } from '../parts/codeWord'

/**
 * What is said first of a look at a part, of all that it shows: its code where the unit has a table of them.
 * Empty where a look tells nothing.
 */
export function glanceOf(
  { codes }: Diagram,
  looks: ReadonlyMap<string, readonly string[]>,
  part: string,
): string {
  const words = looks.get(part) ?? []
  const isCoded = codes.some((code) => code.part === part)
  return words.find((word) => isCoded && codeIn(word) !== null) ?? words.at(0) ?? ''
}
