import type { Diagram } from '../diagram/diagram'
import { withMark } from '../diagram/renameLadder'

/** The name that a part, or a point of it, has in `renamedText`. */
export const renamed = (name: string): string => name.replace(/^[A-Z0-9]+/, (part) => `Q${part}X`)

/** A unit's ladder text with every part under another name: what holds of the unit must hold of it too. */
export const renamedText = (text: string, { parts }: Diagram): string =>
  [...parts.keys()].reduce((now, id) => withMark(now, id, `Q${id}X`), text)
