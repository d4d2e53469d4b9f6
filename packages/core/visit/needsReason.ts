import type { Of } from './fold'

/** Share by which a value may differ from what it should be before it needs a reason. */
const mostOff = 0.35

/** Amps of a load vary with the weather; half of them missing is no weather. */
const isOff = ({ value, expected, unit }: { value: number; expected?: number; unit: string }): boolean =>
  expected !== undefined &&
  unit !== '°F' &&
  Math.abs(value - expected) > Math.max(0.5, mostOff * Math.abs(expected))

type Said = Pick<Of<'proof'>, 'call' | 'words' | 'passed' | 'values'>

/**
 * What was read as a call was proven that is not as it should be, by what was said of calls, oldest first:
 * until it is read again and right, or somebody says in words why it is left so. To say “right” once more
 * takes nothing back.
 */
export function needsReason(proofs: readonly { readonly body: Said }[], of: string): readonly string[] {
  const off = new Set<string>()
  for (const { body } of proofs) {
    const { call, words, passed, values = [] } = body
    if (call !== of) continue
    if (!passed) off.clear()
    for (const value of values)
      if (passed && isOff(value)) off.add(value.what)
      else off.delete(value.what)
    if (words !== '') off.clear()
  }
  return [...off]
}
