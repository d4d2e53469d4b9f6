import { loadAmps, runsFromAmps } from '../circuit/loadAmps'
import type { Diagram } from '../diagram/diagram'
import { guardedLoads } from './guardedLoads'
import { solvedPairs, type SolvedPair } from './solvedPairs'

/** A safety control that no longer stops a load in a call in which it did. */
export interface LostGuard {
  readonly call: string
  readonly guard: string
  readonly load: string
}

/** The safety controls that one circuit has and the other has lost. No plan goes with any. */
export const lostGuards = (before: Diagram, after: Diagram): readonly LostGuard[] =>
  solvedPairs(before, after).flatMap(guardsLostIn)

/** Controls that stopped a load in a call, and do not now, of loads that still run. */
export function guardsLostIn({ call, was, now }: SolvedPair): readonly LostGuard[] {
  const guarded = guardedLoads(now)
  const amps = loadAmps(now.healthy)
  return [...guardedLoads(was)].flatMap(([guard, loads]) =>
    [...loads]
      .filter((load) => (amps.get(load) ?? 0) >= runsFromAmps && !guarded.get(guard)?.has(load))
      .map((load) => ({ call: call.id, guard, load })),
  )
}
