import type { Effect } from '../parts/effect'
import { storedIn, noCode } from '../parts/storedCode'
import type { Look } from '../visit/evidence'
import type { Standing } from '../visit/standing'
import { Moment } from './moment'
import type { UnitModel } from './predictor'

/**
 * How often a control that has been through a fault still has its code, or has none since somebody has cleared
 * it; the rest are of something else, before. Judgements, from no source.
 */
const afterFault = { own: 0.85, none: 0.1 } as const
/** How often one that has been through none has no code; the rest are of something else, before. */
const afterNone = 0.75

/**
 * What a stored code of a control says of every hypothesis: it is of any call that the complaint may be
 * about, whichever is set now, and of a fault that has gone away as well as of one that is there.
 */
export function storedChances(
  model: UnitModel,
  { of, what, standing }: Look,
  calls: readonly string[],
  also: readonly Effect[],
): (h: number) => number {
  const { diagram } = model
  const seen = storedIn(what)
  const others = diagram.parts.get(of)?.kind.stores?.codes.length ?? 1
  const moments = calls.map((call) => {
    const inCall: Standing = { ...standing, call, power: 'on', age: null, off: [], actions: [] }
    return new Moment(model, inCall, also)
  })
  return (h) => {
    const left = new Set(
      moments.flatMap((moment) =>
        moment
          .met(h, 'not', 'any', null)
          .flatMap(({ versions }) => versions.flatMap((version) => storedBy(moment, version))),
      ),
    )
    if (seen === null || seen === noCode) return left.size === 0 ? afterNone : afterFault.none
    if (left.size === 0) return (1 - afterNone) / others
    return left.has(seen) ? afterFault.own / left.size : (1 - afterFault.own - afterFault.none) / others
  }

  function storedBy({ situation }: Moment, version: number): readonly string[] {
    return situation.looks(version, of).flatMap((word) => storedIn(word) ?? [])
  }
}
