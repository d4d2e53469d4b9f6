/** A probability in hundredths; never as the certainty that no reading gives. */
export function percentWords(chance: number): string {
  if (chance < 0.01) return 'under 1 %'
  return chance > 0.99 ? 'over 99 %' : `${Math.round(100 * chance)} %`
}
