import type { BenchReading } from '@jokulgale/core/bench/tool'
import type { OpenVisit } from '../visit/useVisit'

/**
 * Whether a reading can have been taken as the unit stands now: ohms isolated, everything else with power
 * on.
 */
export const mayRead = ({ state }: OpenVisit, { meter, value }: BenchReading): boolean =>
  (value === null || Number.isFinite(value)) &&
  (meter === 'ohms' ? state.power === 'isolated' : state.power === 'on')
