import type { Now, Senses } from './kind'

/** Share of its rating from which a fuse is sure to open in the end (ISO 8820-3: 135 % within 600 s). */
export const opensAtShare = 1.35

/** What a fuse or breaker of a rating feels: the amps of each pole, which matter where they open it. */
export const overcurrentSenses = (poles: readonly string[], ratedAmps: number): Senses => ({
  amps: poles,
  steps: Object.fromEntries(poles.map((pole) => [pole, [opensAtShare * ratedAmps]])),
})

/** Once it has opened it stays open. */
export const fusePosition = (now: Now, branch: string): 'open' | 'closed' =>
  now.is[branch] === 'open' || now.amps[branch].size >= opensAtShare * now.settings.number('amps')
    ? 'open'
    : 'closed'
