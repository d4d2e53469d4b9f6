import { resistance } from '../electric/law'
import { fixed, memory } from './contact'
import { makesBadly, opens } from './fault'
import type { Effect } from './effect'
import type { PartKind } from './kind'
import type { Settings } from './settings'

const pins = (s: Settings): readonly number[] => Array.from({ length: s.number('pins') }, (_, k) => k + 1)

const apart = (s: Settings): readonly Effect[] => [
  { does: 'hold', branch: 'halves', state: 'apart' },
  ...pins(s).map((pin) => ({ does: 'open' as const, branch: `pin${pin}` })),
]

/** A plug and its socket: pin n joins `nA` (plug side) to `nB` (socket side). */
export const plug: PartKind = {
  kind: 'plug',
  words: 'plug and socket',
  cause: 'wires',
  symbol: 'plug',
  pulledApart: apart,
  settings: { pins: 4 },
  terminals: (s) =>
    pins(s).flatMap((pin) => [
      { name: `${pin}A`, words: `pin ${pin}, plug side` },
      { name: `${pin}B`, words: `pin ${pin}, socket side` },
    ]),
  branches: (s) => [
    ...pins(s).map((pin) => fixed(`pin${pin}`, `${pin}A`, `${pin}B`, 'conductor', resistance(0.01))),
    memory('halves', ['together', 'apart'], 'together'),
  ],
  looks: (now) => [now.is.halves],
  lookWords: () => ['together', 'apart'],
  faults: (s) => [
    ...pins(s).map((pin) =>
      opens(`pin${pin}`, `pin ${pin} pushed back`, 0.3, {
        class: 'loose',
        cause: 'not seated, or spread by a probe',
      }),
    ),
    ...pins(s).map((pin) =>
      makesBadly(`pin${pin}-corroded`, `pin${pin}`, 60, `pin ${pin} corroded`, 0.15, {
        cause: 'water in the plug',
        shows: ['wet'],
      }),
    ),
    {
      name: 'unplugged',
      class: 'loose',
      words: 'plug out of its socket',
      prior: 0.8,
      cause: 'not put back after the last work',
      effects: apart(s),
    },
  ],
}
