import { display, isDead, type Meter } from '../circuit/meters'
import type { Judgement } from './diagnose'
import { readingOf } from './grouping'
import { situationIn } from './proposals'
import { hasRange, type Resistance } from './resistance'
import { doubtAbout } from './typedDoubt'

/** A value that a fault gives and that the pad asks about all the same. */
export interface WronglyDoubted {
  readonly fault: string
  readonly ohms: Resistance
  readonly value: number | null
  readonly doubt: string
}

/** A value as its display shows it, in the unit that it is kept in. */
function asShown(meter: Meter, value: number | null): number | null {
  if (value === null) return null
  const [digits, prefix] = display(value, meter).split(' ')
  const scale = { k: 1e3, M: 1e6 }[(prefix ?? '').charAt(0)] ?? 1
  return Number(digits) * (meter === 'ohms' ? scale : 1)
}

/**
 * Every value that any single fault, at any of its resistances, shows between two points as things stand, and
 * of which the pad would say that nothing gives it: there should be none.
 */
export function wronglyDoubted(
  judgement: Judgement,
  meter: Meter,
  from: string,
  to: string,
): readonly WronglyDoubted[] {
  const { model, findings } = judgement
  // what breaks down does so at its volts: with those on it, it is of no more than a few ohms
  const ranges: readonly Resistance[] = isDead(meter)
    ? ['drawn', 'least', 'most', 'cold']
    : ['drawn', 'least', 'most']
  const asked = model.everySingle.flatMap((h) => {
    const { faults } = model.hypotheses[h]
    const resistances: readonly Resistance[] = faults.some(hasRange) ? ranges : ['drawn']
    return resistances.map((ohms) => ({ h, ohms, version: model.version(h, ohms, []) }))
  })
  const predicted = situationIn(judgement, findings.now).predict(
    meter,
    from,
    to,
    asked.map(({ version }) => version),
  )
  const shown = new Map(
    asked.map(({ h, ohms, version }) => {
      const value = asShown(meter, readingOf(predicted[version]))
      return [String(value), { fault: model.hypotheses[h].id, ohms, value }]
    }),
  )
  return [...shown.values()].flatMap((each) => {
    const doubt = doubtAbout(judgement, meter, from, to, each.value)
    return /^No state/.test(doubt) ? [{ ...each, doubt }] : []
  })
}
