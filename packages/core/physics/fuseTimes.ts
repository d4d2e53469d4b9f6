/**
 * Middle of the opening times of a blade fuse by multiples of its rating (ISO 8820-3): [multiple, seconds].
 */
const openingTimes: readonly (readonly [number, number])[] = [
  [1.35, 60],
  [2, 1.2],
  [3.5, 0.15],
  [6, 0.05],
]

/**
 * Seconds that a fuse takes to open at a multiple of its rating; Infinity below the first multiple that is
 * sure to open it.
 */
export function openingSeconds(multiple: number): number {
  if (multiple < openingTimes[0][0]) return Infinity
  for (let k = 1; k < openingTimes.length; k++) {
    const [high, highSeconds] = openingTimes[k]
    if (multiple > high) continue
    const [low, lowSeconds] = openingTimes[k - 1]
    const share = Math.log(multiple / low) / Math.log(high / low)
    return Math.exp(Math.log(lowSeconds) + share * Math.log(highSeconds / lowSeconds))
  }
  return openingTimes[openingTimes.length - 1][1]
}
