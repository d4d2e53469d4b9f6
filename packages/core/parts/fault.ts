import type { Clearing } from '../diagram/effect'
import type { PartFault } from './kind'

interface Detail {
  readonly cause?: string
  readonly prove?: string
  readonly shows?: string
  readonly clears?: readonly Clearing[]
}

/** A branch that passes nothing: `BRANCH-open`. */
export const opens = (branch: string, words: string, prior: number, detail: Detail = {}): PartFault => ({
  name: `${branch}-open`,
  words,
  prior,
  effects: [{ does: 'open', branch }],
  ...detail,
})

/** A branch that has become a plain resistance: shorted, burnt, shifted. */
export const becomes = (
  name: string,
  branch: string,
  ohms: number,
  words: string,
  prior: number,
  detail: Detail = {},
): PartFault => ({ name, words, prior, effects: [{ does: 'ohms', branch, ohms }], ...detail })

/** Branches that stay in one state whatever drives them. */
export const sticks = (
  name: string,
  branches: readonly string[],
  state: string,
  words: string,
  prior: number,
  detail: Detail = {},
): PartFault => ({
  name,
  words,
  prior,
  effects: branches.map((branch) => ({ does: 'hold', branch, state })),
  ...detail,
})

/** A terminal touching the metal of the unit. */
export const grounds = (terminal: string, words: string, prior: number, detail: Detail = {}): PartFault => ({
  name: `${terminal}-grounded`,
  words,
  prior,
  effects: [{ does: 'join', from: terminal, to: 'EARTH', ohms: 0.3 }],
  ...detail,
})

/** A setting that is not what the unit needs. */
export const misset = (
  name: string,
  setting: string,
  to: number | string,
  words: string,
  prior: number,
  detail: Detail = {},
): PartFault => ({ name, words, prior, effects: [{ does: 'set', part: '', setting, to }], ...detail })
