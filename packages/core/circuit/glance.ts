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
  const code = words.find((word) => codeIn(word) !== null)
  const isCoded = code !== undefined && codes.some((known) => known.part === part)
  return (isCoded ? code : words.at(0)) ?? ''
}
