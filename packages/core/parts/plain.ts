import type { CauseGroup } from './causeGroup'
import type { Effect } from './effect'
import { memory } from './contact'
import type { PartKind, PartSymbol } from './kind'
import type { Settings } from './settings'

/** What is wrong with a thing that carries no current, and which contacts that opens by itself. */
interface PlainFault {
  readonly name: string
  readonly class: 'fouled'
  readonly words: string
  readonly prior: number
  /** The state that a look sees. */
  readonly state: string
  readonly cause: string
  readonly prove: string
  /** It opens none of the protective switches that its others do. */
  readonly silent?: true
  /** All runs, and less heat is moved by the refrigerant. */
  readonly weakens?: true
}

interface PlainThing {
  readonly kind: string
  readonly cause: CauseGroup
  readonly words: string
  readonly symbol: PartSymbol
  readonly good: string
  readonly faults: readonly PlainFault[]
  readonly likelier?: PartKind['likelier']
  readonly firstLook?: PartKind['firstLook']
  readonly putBack?: PartKind['putBack']
  readonly icesWhen?: PartKind['icesWhen']
}

const trips = (s: Settings): readonly Effect[] =>
  s.list('trips').map((trip): Effect => {
    const [branch, state = 'open'] = trip.split('=')
    return { does: 'hold', branch, state }
  })

/**
 * A thing of the unit that is looked at, not measured: a filter, a belt, a drain. The setting `trips` names
 * the contacts
 * of protective switches that open when it fails: `PART/branch`, or `PART/branch=state`.
 */
export const plainThing = ({ kind, words, symbol, good, faults, ...facts }: PlainThing): PartKind => ({
  ...facts,
  kind,
  words,
  symbol,
  settings: { trips: '' },
  terminals: () => [],
  branches: () => [memory('state', [good, ...new Set(faults.map(({ state }) => state))], good)],
  faults: (s) =>
    faults.map(({ state, silent, ...fault }) => ({
      ...fault,
      effects: [{ does: 'hold', branch: 'state', state }, ...(silent ? [] : trips(s))],
    })),
  looks: (now) => [now.is.state],
  lookWords: () => [
    ...new Set([good, ...faults.map(({ state }) => state), ...(facts.icesWhen ? ['iced'] : [])]),
  ],
})
