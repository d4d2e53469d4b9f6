import type { Now, Senses } from './kind'

/** Shares of its rating from which a device is sure to open in the end: fuses (ISO 8820-3, UL 248), breakers (UL 489). */
export const opensAtShare = { fuse: 1.35, breaker: 1.45 } as const
export type OvercurrentDevice = keyof typeof opensAtShare

/** What a fuse or breaker of a rating feels: the amps of each pole, which matter where they open it. */
export const overcurrentSenses = (
  device: OvercurrentDevice,
  poles: readonly string[],
  ratedAmps: number,
): Senses => ({
  amps: poles,
  steps: Object.fromEntries(poles.map((pole) => [pole, [opensAtShare[device] * ratedAmps]])),
})

/** Once it has opened it stays open. */
export const overcurrentPosition = (
  device: OvercurrentDevice,
  now: Now,
  branch: string,
): 'open' | 'closed' =>
  now.is[branch] === 'open' || now.amps[branch].size >= opensAtShare[device] * now.settings.number('amps')
    ? 'open'
    : 'closed'

/** The most that flows through any pole, as a multiple of the rating. */
export const overcurrentMultiple = ({ amps, settings }: Now): number =>
  Math.max(0, ...Object.values(amps).map(({ size }) => size)) / settings.number('amps')
