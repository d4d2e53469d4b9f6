/** A set with one more in it, or with that one taken out again. */
export function toggled<T>(set: ReadonlySet<T>, one: T): ReadonlySet<T> {
  const next = new Set(set)
  if (!next.delete(one)) next.add(one)
  return next
}
