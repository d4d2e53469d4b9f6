import type { CauseGroup } from './causeGroup'
import type { Clearing } from './effect'
import type { FaultClass } from './faultClass'
import type { PartFault } from './kind'

interface Detail {
  /** Where it is of another class than its helper says. */
  readonly class?: FaultClass
  readonly cause?: string
  readonly countedWith?: CauseGroup
  readonly prove?: string
  readonly shows?: readonly string[]
  readonly clears?: readonly Clearing[]
  readonly welds?: true
  readonly breaksDown?: true
  readonly mostOhms?: number
}

/** A branch that passes nothing: `BRANCH-open`. */
export const opens = (branch: string, words: string, prior: number, detail: Detail = {}): PartFault => ({
  name: `${branch}-open`,
  class: 'open',
  words,
  prior,
  effects: [{ does: 'open', branch }],
  ...detail,
})

const becomes =
  (of: FaultClass) =>
  (
    name: string,
    branch: string,
    ohms: number,
    words: string,
    prior: number,
    detail: Detail = {},
  ): PartFault => ({
    name,
    class: of,
    words,
    prior,
    effects: [{ does: 'ohms', branch, ohms }],
    ...detail,
  })

/** A load or winding that has become next to no resistance. */
export const shorts = becomes('short')
/** Share of a winding’s ohms that is left at most with turns of it shorted so that its motor stops. */
const turnsLeft = 0.7
/** Ohms of a winding burnt through to itself; of one that has hardly more, half of what can be left. */
const burntThrough = 0.1
/** A winding of so many ohms with turns of it shorted: whatever is left of it has fewer. */
export function turnsShorted(winding: string, ohms: number, words: string, prior: number): PartFault {
  const mostOhms = turnsLeft * ohms
  return shorts(`${winding}-shorted`, winding, Math.min(burntThrough, mostOhms / 2), words, prior, {
    mostOhms,
  })
}

/** A connection with resistance in it: burnt, loose, corroded. */
export const makesBadly = becomes('loose')
/** A sensor that stands for another value than it should. */
export const readsWrong = becomes('sensor')
/** A coil or element of another resistance than belongs there. */
export const hasOhms = becomes('unlike')

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
  class: 'stuck',
  words,
  prior,
  effects: branches.map((branch) => ({ does: 'hold', branch, state })),
  ...detail,
})

/** A terminal touching the metal of the unit. */
export const grounds = (terminal: string, words: string, prior: number, detail: Detail = {}): PartFault => ({
  name: `${terminal}-grounded`,
  class: 'ground',
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
): PartFault => ({
  name,
  class: 'setting',
  words,
  prior,
  effects: [{ does: 'set', part: '', setting, to }],
  ...detail,
})
