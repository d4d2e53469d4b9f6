import type { Diagnosis } from './diagnose'

/** What the evidence so far has not touched. */
export interface Coverage {
  /** Calls in which nothing has been read or seen. */
  readonly calls: readonly string[]
  /** Faults that the evidence speaks neither for nor against, of how many. */
  readonly untouched: number
  readonly of: number
  /** The likeliest of them, in words. */
  readonly first: readonly string[]
  readonly sentence: string
}

/** Log-likelihood by which evidence must tell a fault from a healthy unit to have touched it. */
const touchedFrom = 1

/** Everything that could still be wrong though all readings are right. */
export function coverageOf({ model, belief, findings }: Diagnosis): Coverage {
  const { diagram } = model
  const seen = new Set(
    findings.evidence.map(({ standing }) => (standing.power === 'on' ? standing.call : '')),
  )
  const calls = diagram.calls.filter(({ id }) => !seen.has(id)).map(({ words }) => words)
  const untouched = model.hypotheses
    .slice(1, model.singles)
    .flatMap((hypothesis, k) =>
      belief.weight.every((row) => Math.abs(row[k + 1] - row[0]) < touchedFrom) ? [hypothesis] : [],
    )
  const first = [...untouched]
    .sort((a, b) => b.prior - a.prior)
    .slice(0, 4)
    .map(({ words }) => words)
  const all = model.singles - 1
  const sentence =
    findings.evidence.length === 0
      ? 'Nothing has been read yet.'
      : [
          calls.length > 0
            ? `Not tried yet: ${calls.map((words) => words.toLowerCase()).join(', ')}.`
            : 'Every call has been tried.',
          untouched.length > 0
            ? `${untouched.length} of ${all} faults are untouched by these readings, ${first.slice(0, 2).join('; ')} among them.`
            : 'No fault of this unit is left untouched.',
        ].join(' ')
  return { calls, untouched: untouched.length, of: all, first, sentence }
}
