import { entriesOf, type Of } from './fold'
import type { Entry } from './log'

/**
 * Where a test point is on a picture of its panel, in per cent of its width and height from the upper left.
 */
export interface Spot {
  readonly photo: string
  readonly x: number
  readonly y: number
}

/** The newest spot of each test point that was pinned. */
export const spotsIn = (entries: readonly Entry[]): ReadonlyMap<string, Spot> =>
  new Map(entriesOf(entries, 'pinned').map(({ body: { of, photo, x, y } }) => [of, { photo, x, y }]))

/** What a picture shows, as it is named in a list. */
export const photoWords = ({ of, words }: Of<'photo'>): string =>
  [of, words].filter(Boolean).join(': ') || 'Photo'
