import type { Of } from './fold'

/** Share by which a value may differ from what it should be before it needs a reason. */
const mostOff = 0.35

/** Amps of a load vary with the weather; half of them missing is no weather. */
const isOff = ({ value, expected, unit }: { value: number; expected?: number; unit: string }): boolean =>
  expected !== undefined &&
  unit !== '°F' &&
  Math.abs(value - expected) > Math.max(0.5, mostOff * Math.abs(expected))

/** What was read at a proof that is not as it should be, while nobody has said why it is left so. */
export const needsReason = ({
  words,
  passed,
  values = [],
}: Pick<Of<'proof'>, 'words' | 'passed' | 'values'>): readonly string[] =>
  passed && words === '' ? values.filter(isOff).map(({ what }) => what) : []
