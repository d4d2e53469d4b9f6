import type { FaultClass } from './faultClass'

/** What must be known before power goes back on behind a burnt contact or a tripped motor. */
export const windingsFirst = (): string =>
  'What it feeds, leg to leg and leg to ground, isolated; a compressor never in vacuum. On a contactor that switches two legs the third stays live.'

/** The same behind a contactor: a coil or a jammed armature says nothing of what its poles feed. */
export const feedsWindings = (fault: FaultClass): string =>
  fault === 'loose' || fault === 'stuck' || fault === 'open' ? windingsFirst() : ''

/** The same behind a fuse or breaker that has opened. */
export const findTheShort =
  'Find the short first: ohms from the line side and each call terminal to common and to ground, isolated.'
