/** The up to `count` names nearest to a misspelt one, by edit distance without regard to case. */
export function nearest(name: string, known: Iterable<string>, count = 3): readonly string[] {
  return [...known]
    .map((candidate) => ({ candidate, distance: editDistance(name.toUpperCase(), candidate.toUpperCase()) }))
    .sort((a, b) => a.distance - b.distance || (a.candidate < b.candidate ? -1 : 1))
    .slice(0, count)
    .map(({ candidate }) => candidate)
}

function editDistance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i++) {
    const next = [i]
    for (let j = 1; j <= b.length; j++)
      next.push(Math.min(row[j] + 1, next[j - 1] + 1, row[j - 1] + (a[i - 1] === b[j - 1] ? 0 : 1)))
    row = next
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
