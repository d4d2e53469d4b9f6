import { clampAmps } from '../circuit/meter'
import type { StandInResult } from '../visit/entry'
import type { Evidence } from '../visit/evidence'
import type { Moment } from './moment'
import type { UnitModel } from './predictor'

/** Multiples of its rating from which a resettable breaker opens at once, and from which it opens in a while. */
const opens = { atOnce: 2, inAWhile: 1.35 } as const
/** Chance of what its rating and the amps through it say, of the next thing to it, and of the opposite. */
const chances = [0.85, 0.13, 0.02] as const
const inOrder: readonly StandInResult[] = ['holds', 'trips-later', 'trips-at-once']

/** How probable it is that a stand-in in the place of a fuse did what it did, under a hypothesis. */
export function standInChance(
  model: UnitModel,
  moment: Moment,
  { of, amps, result }: Extract<Evidence, { readonly kind: 'stand-in' }>,
  h: number,
): number {
  const { situation } = moment
  const settled = situation.settle(moment.atFirst(h))
  const part = model.diagram.parts.get(of)
  const links = (part?.kind.branches(part.settings, {}) ?? []).flatMap(({ name, role }) => {
    const link = settled.circuit.network.linkNumbers.get(`${of}/${name}`)
    return link !== undefined && (role === 'fuse' || role === 'contact') ? [link] : []
  })
  const most = Math.max(0, ...links.map((link) => clampAmps(settled, link)))
  const expected = most >= opens.atOnce * amps ? 2 : most >= opens.inAWhile * amps ? 1 : 0
  return chances[Math.abs(expected - inOrder.indexOf(result))]
}
