import type { Standing } from './standing'
import type { VisitState } from './visitState'

/**
 * What has to be switched before a step is taken: a reading at rest wants the unit isolated, and not merely
 * off.
 */
export function switchFirst(
  wanted: Standing['power'],
  power: VisitState['power'],
): 'isolate' | 'power-on' | null {
  if (wanted === 'off') return power === 'isolated' ? null : 'isolate'
  return power === 'on' ? null : 'power-on'
}
