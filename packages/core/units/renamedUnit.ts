import type { Diagram } from '../diagram/diagram'

/** The name that a part, or a point of it, has in `renamedText`. */
export const renamed = (name: string): string => name.replace(/^[A-Z0-9]+/, (part) => `Q${part}X`)

/** A unit's ladder text with every part under another name: what holds of the unit must hold of it too. */
export const renamedText = (text: string, { parts }: Diagram): string =>
  [...parts.keys()].reduce((now, id) => {
    // as a word of its own, not within quotes, nor as a terminal behind its dot
    const word = new RegExp(`(?<![A-Za-z0-9.-])${id}(?=[./,\\s"]|$)`, 'gm')
    return now
      .split('\n')
      .map((line) => line.replace(/"[^"]*"|[^"]+/g, (piece) => inPiece(piece, word, `Q${id}X`)))
      .join('\n')
  }, text)

/** Words in quotes are for people and stay; lists of trips in quotes speak of parts. */
const inPiece = (piece: string, word: RegExp, name: string): string =>
  piece.startsWith('"') && !piece.includes('/') ? piece : piece.replace(word, name)
