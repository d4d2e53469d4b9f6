import { clampAmps } from '../circuit/meter'
import type { StandInResult } from '../visit/entry'
import type { Evidence } from '../visit/evidence'
import type { Moment } from './moment'
import type { UnitModel } from './predictor'

/** Multiples of its rating from which a resettable breaker opens at once, and from which it opens in a while. */
const opens = { atOnce: 2, inAWhile: 1.35 } as const
/**
 * Chance of what it does, by what its rating and the amps through it say. What it holds it hardly ever opens
 * for at once; what should open it may be away just then. Judgements.
 */
const chances: Readonly<Record<StandInResult, Readonly<Record<StandInResult, number>>>> = {
  holds: { holds: 0.93, 'trips-later': 0.065, 'trips-at-once': 0.005 },
  'trips-later': { holds: 0.13, 'trips-later': 0.74, 'trips-at-once': 0.13 },
  'trips-at-once': { holds: 0.02, 'trips-later': 0.13, 'trips-at-once': 0.85 },
}

/** What a stand-in of so many amps does by its rating with so many through it. */
function expectedOf(through: number, rating: number): StandInResult {
  if (through >= opens.atOnce * rating) return 'trips-at-once'
  return through >= opens.inAWhile * rating ? 'trips-later' : 'holds'
}

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
  return chances[expectedOf(most, amps)][result]
}
