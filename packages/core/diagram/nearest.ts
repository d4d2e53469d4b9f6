/** The up to `count` names nearest to a misspelt one, by edit distance without regard to case. */
export function nearest(name: string, known: Iterable<string>, count = 3): readonly string[] {
  const wanted = name.slice(0, mostLetters).toUpperCase()
  return [...known]
    .map((candidate) => ({
      candidate,
      distance: editDistance(wanted, candidate.slice(0, mostLetters).toUpperCase()),
    }))
    .sort((a, b) => a.distance - b.distance || (a.candidate < b.candidate ? -1 : 1))
    .slice(0, count)
    .map(({ candidate }) => candidate)
}

/** Names are shorter; what is longer is compared by its beginning. */
const mostLetters = 200
// kept from one comparison to the next: a request may have hundreds of unknown names, each against all of a
// unit's
let row = new Uint16Array(mostLetters + 1)
let next = new Uint16Array(mostLetters + 1)

/** Levenshtein's distance, a row of its table at a time (Wagner & Fischer 1974). */
function editDistance(a: string, b: string): number {
  for (let j = 0; j <= b.length; j++) row[j] = j
  for (let i = 1; i <= a.length; i++) {
    next[0] = i
    const letter = a.charCodeAt(i - 1)
    for (let j = 1; j <= b.length; j++) {
      const changed = row[j - 1] + (letter === b.charCodeAt(j - 1) ? 0 : 1)
      next[j] = Math.min(row[j] + 1, next[j - 1] + 1, changed)
    }
    ;[row, next] = [next, row]
  }
  return row[b.length]
}

/** A name that the unit does not have; the message lists the nearest ones. */
export class UnknownNameError extends Error {
  constructor(what: string, name: string, known: Iterable<string>) {
    super(`${what} “${name}” is not on this unit; nearest: ${nearest(name, known).join(', ')}`)
    this.name = 'UnknownNameError'
  }
}
