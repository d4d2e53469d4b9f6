import type { Diagram, Part } from '@jokulgale/core/diagram/diagram'
import type { EntryBody } from '@jokulgale/core/visit/entry'

/** What a first look goes over, before any power changes; fitted to the parts that the unit has. */
export interface LookItem {
  readonly id: string
  readonly words: string
  /** Parts of the unit that the look speaks of, and what it says of them. */
  readonly seen: readonly { readonly of: string; readonly right: string; readonly wrong: string }[]
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
    // a look at several of a kind says nothing of any one of them
    return [{ id, words, seen: parts.length === 1 ? [{ of: parts[0].id, right, wrong }] : [] }]
  })
  return [...fitted, ...everywhere]
}

/** What is entered when an item was looked at: the item, and of each part that it speaks of what was seen. */
export const lookedAt = ({ id, words, seen }: LookItem, is: 'right' | 'wrong'): readonly EntryBody[] => [
  { kind: 'first-look', item: id, is, ...(is === 'wrong' ? { words } : {}) },
  ...seen.map(({ of, right, wrong }): EntryBody => ({
    kind: 'observation',
    of,
    what: is === 'right' ? right : wrong,
  })),
]
