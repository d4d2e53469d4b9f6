import type { Chosen, Family } from './family'

/**
 * Members of a family in which every pair of values of two options stands together at least once, where the options
 * allow it: each is the one that covers most of what is left, options taken in their order (a greedy covering array).
 */
export function pairwiseMembers(family: Family): readonly Chosen[] {
  const left = new Set(everyPair(family))
  const members: Chosen[] = []
  while (left.size > 0) {
    const [seed] = left
    const member = grown(family, seed, left)
    const covered = pairsOf(family, member).filter((pair) => left.has(pair))
    // a pair that guards keep apart is never found: it is left out
    if (!covered.includes(seed)) left.delete(seed)
    if (covered.length === 0) continue
    covered.forEach((pair) => left.delete(pair))
    members.push(member)
  }
  return members
}

const valueKey = (option: string, value: string): string => `${option}=${value}`
const pairKey = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`)

/** Every option that any values offer. */
function everyPair(family: Family): readonly string[] {
  const all = family.allOptions.flatMap(({ id, values }) => values.map((value) => ({ id, value: value.id })))
  return all.flatMap((a, k) =>
    all
      .slice(k + 1)
      .filter((b) => b.id !== a.id)
      .map((b) => pairKey(valueKey(a.id, a.value), valueKey(b.id, b.value))),
  )
}

function pairsOf(family: Family, member: Chosen): readonly string[] {
  const values = family
    .optionsOf(member)
    .map((option) => valueKey(option.id, member[option.id] ?? option.values[0].id))
  return values.flatMap((a, k) => values.slice(k + 1).map((b) => pairKey(a, b)))
}

/** The pair asked for, and for every other option the value that covers most of what is left. */
function grown(family: Family, seed: string, left: ReadonlySet<string>): Chosen {
  const fixed = new Map(
    seed.split(' ').map((text): [string, string] => {
      const [option, value] = text.split('=')
      return [option, value]
    }),
  )
  let member: Chosen = Object.fromEntries(fixed)
  for (const { id, values } of family.allOptions) {
    if (fixed.has(id)) continue
    const gain = (value: string): number =>
      pairsOf(family, { ...member, [id]: value }).filter((pair) => left.has(pair)).length
    const best = values.reduce((a, b) => (gain(b.id) > gain(a.id) ? b : a))
    member = { ...member, [id]: best.id }
  }
  return member
}
