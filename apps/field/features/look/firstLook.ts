import type { Diagram, Part } from '@jokulgale/core/diagram/diagram'
import { seenWords } from '@jokulgale/core/parts/lookVocabulary'
import type { EntryBody } from '@jokulgale/core/visit/entry'

/** A part that a first look speaks of: how it looks where it is right, and where it is wrong. */
interface PartLook {
  readonly of: string
  readonly words: string
  readonly right: string
  readonly wrong: readonly string[]
}

/** What a first look goes over, before any power changes; fitted to the parts that the unit has. */
export interface LookItem {
  readonly id: string
  readonly words: string
  readonly seen: readonly PartLook[]
}

/** One way in which one part of an item may be wrong. */
interface WrongLook {
  readonly of: string
  readonly what: string
  readonly words: string
}

/** Looked at on every unit. */
const everywhere: readonly LookItem[] = [
  { id: 'wires', words: 'No burnt, chafed or hanging wires', seen: [] },
  { id: 'jumpers', words: 'No strange jumpers, no spare leads uncapped', seen: [] },
]

/** Items of the parts that have something to look at, kind by kind, and of every unit. */
export function lookItemsFor(diagram: Diagram): readonly LookItem[] {
  const kinds = new Map<string, Part[]>()
  for (const part of diagram.parts.values())
    if (part.kind.firstLook) kinds.set(part.kind.kind, [...(kinds.get(part.kind.kind) ?? []), part])
  const fitted = [...kinds].flatMap(([id, parts]): readonly LookItem[] => {
    const { firstLook } = parts[0].kind
    if (!firstLook) return []
    const { words, right, wrong } = firstLook
    return [{ id, words, seen: parts.map((part) => ({ of: part.id, words: part.words, right, wrong })) }]
  })
  return [...fitted, ...everywhere]
}

/** Every way in which an item may be wrong. */
export const wrongLooks = ({ seen }: LookItem): readonly WrongLook[] =>
  seen.flatMap(({ of, words, wrong }) =>
    wrong.map((what) => ({ of, what, words: `${words}: ${seenWords(what)}` })),
  )

/**
 * What is entered when an item was looked at: the item, and what was seen. Right is every part that it speaks
 * of; of several ways to be wrong, somebody has to say which.
 */
export function lookedAt(item: LookItem, is: 'right' | 'wrong'): readonly EntryBody[] {
  const { id, words, seen } = item
  const ways = wrongLooks(item)
  const wrong = ways.length === 1 ? ways : []
  return [
    { kind: 'first-look', item: id, is, ...(is === 'wrong' ? { words } : {}) },
    ...(is === 'right' ? seen.map(({ of, right }) => ({ of, what: right })) : wrong).map(
      ({ of, what }): EntryBody => ({ kind: 'observation', of, what }),
    ),
  ]
}
