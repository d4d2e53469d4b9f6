/**
 * Mean depth of the optimal k-ary tree over leaves of these weights: the fewest readings, in the mean, that
 * any
 * procedure can need whose readings have at most k outcomes (Huffman 1952). Weights need not sum to one.
 */
export function huffmanBound(weights: readonly number[], arity: number): number {
  const total = weights.reduce((a, b) => a + b, 0)
  if (weights.length < 2 || total <= 0) return 0
  // filled up with empty leaves, so that every merge takes k
  const short = (weights.length - 1) % (arity - 1)
  const queue = [...weights, ...Array.from({ length: short === 0 ? 0 : arity - 1 - short }, () => 0)].sort(
    (a, b) => a - b,
  )
  let cost = 0
  while (queue.length > 1) {
    const merged = queue.splice(0, arity).reduce((a, b) => a + b, 0)
    cost += merged
    let at = 0
    while (at < queue.length && queue[at] < merged) at++
    queue.splice(at, 0, merged)
  }
  return cost / total
}
