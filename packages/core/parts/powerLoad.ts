import type { PartKind } from './kind'

/** Whether a part does the work that the unit is for: it turns or it heats. */
export const isPowerLoad = ({ symbol }: Pick<PartKind, 'symbol'>): boolean =>
  symbol === 'motor' || symbol === 'heater'
