import { isPowerLoad } from '../parts/powerLoad'
import type { Settled } from './circuit'
import { clampAmps } from './meter'

/** Below this a load counts as still, amperes. */
export const runsFromAmps = 0.1

/** What each load that does the work of a unit draws in a settled state: the most of its branches, amps by part. */
export function loadAmps(settled: Settled): ReadonlyMap<string, number> {
  const amps = new Map<string, number>()
  settled.circuit.network.links.forEach(({ part, role }, link) => {
    if (part && role === 'load' && isPowerLoad(part.kind))
      amps.set(part.id, Math.max(amps.get(part.id) ?? 0, clampAmps(settled, link)))
  })
  return amps
}
