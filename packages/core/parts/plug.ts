import { resistance } from '../electric/law'
import { fixed } from './contact'
import { makesBadly, opens } from './fault'
import type { PartKind } from './kind'

/** A plug and its socket: pin n joins `nA` (plug side) to `nB` (socket side). */
export const plug: PartKind = {
  kind: 'plug',
  words: 'plug and socket',
  cause: 'wires',
  symbol: 'plug',
  separable: true,
  settings: { pins: 4 },
  terminals: (s) =>
    pins(s.number('pins')).flatMap((pin) => [
      { name: `${pin}A`, words: `pin ${pin}, plug side` },
      { name: `${pin}B`, words: `pin ${pin}, socket side` },
    ]),
  branches: (s) =>
    pins(s.number('pins')).map((pin) =>
      fixed(`pin${pin}`, `${pin}A`, `${pin}B`, 'conductor', resistance(0.01)),
    ),
  faults: (s) => [
    ...pins(s.number('pins')).map((pin) =>
      opens(`pin${pin}`, `pin ${pin} pushed back`, 0.3, {
        class: 'loose',
        cause: 'not seated, or spread by a probe',
      }),
    ),
    ...pins(s.number('pins')).map((pin) =>
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
      effects: pins(s.number('pins')).map((pin) => ({ does: 'open' as const, branch: `pin${pin}` })),
    },
  ],
}

const pins = (count: number): readonly number[] => Array.from({ length: count }, (_, k) => k + 1)
