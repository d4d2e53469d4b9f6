import type { Diagram } from '@jokulgale/core/diagram/diagram'

/** What a first look goes over, before any power changes; fitted to the class of unit. */
export interface LookItem {
  readonly id: string
  readonly words: string
  /** Parts of the unit that the look speaks of, and what it says of them. */
  readonly seen: readonly { readonly of: string; readonly right: string; readonly wrong: string }[]
}

interface Item {
  readonly id: string
  readonly words: string
  readonly kinds?: Readonly<Record<string, readonly [right: string, wrong: string]>>
}

const everywhere: readonly Item[] = [
  {
    id: 'disconnect',
    words: 'Disconnect on, breaker neither off nor tripped',
    kinds: { disconnect: ['on', 'off'] },
  },
  { id: 'filter', words: 'Filters clean', kinds: { 'air-filter': ['clean', 'dirty'] } },
  { id: 'wires', words: 'No burnt, chafed or hanging wires' },
  { id: 'drain', words: 'Drain pan and trap in order', kinds: { drain: ['running', 'blocked'] } },
  { id: 'jumpers', words: 'No strange jumpers, no spare leads uncapped' },
]

const byClass: Readonly<Record<string, readonly Item[]>> = {
  rooftop: [
    { id: 'belt', words: 'Belt whole and tight', kinds: { belt: ['whole', 'broken'] } },
    { id: 'coils', words: 'Coils clean, not frozen', kinds: { 'outdoor-coil': ['clean', 'dirty'] } },
  ],
  'heat-pump': [
    { id: 'coils', words: 'Outdoor coil clean, not iced', kinds: { 'outdoor-coil': ['clean', 'dirty'] } },
  ],
  'fan-coil': [{ id: 'float', words: 'Float switch dry', kinds: { 'float-switch': ['dry', 'wet'] } }],
  'air-handler': [{ id: 'belt', words: 'Belt whole and tight', kinds: { belt: ['whole', 'broken'] } }],
}

export const lookItemsFor = (diagram: Diagram): readonly LookItem[] =>
  [...everywhere, ...(byClass[diagram.unitClass] ?? [])].map(({ id, words, kinds = {} }) => {
    // a look at several of a kind says nothing of any one of them
    const seen = Object.entries(kinds).flatMap(([kind, [right, wrong]]) => {
      const parts = [...diagram.parts.values()].filter((part) => part.kind.kind === kind)
      return parts.length === 1 ? [{ of: parts[0].id, right, wrong }] : []
    })
    return { id, words, seen }
  })
