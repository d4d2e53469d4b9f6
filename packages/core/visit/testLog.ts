import type { EntryBody } from './entry'
import type { Entry } from './log'

/** The log of one visit on one device that says these things in order: for tests. Identities count from 0. */
export const logOf = (bodies: readonly EntryBody[]): readonly Entry[] =>
  bodies.map((body, k) => ({
    id: `${k}`,
    visit: 'v',
    by: 'p',
    clock: { wall: k, counter: 0, device: 'd' },
    body,
  }))
