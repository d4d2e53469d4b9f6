import type { At } from './fold'
import type { VisitState } from './visitState'

/** The steps of a repair, in the order in which the trade takes them. */
export const repairOrder = [
  'isolated',
  'leads-noted',
  'repaired',
  'leads-back',
  'power-on',
  'proven',
] as const
export type RepairStep = (typeof repairOrder)[number]

/** Which steps have been taken since something was taken for the cause. */
export function repairSteps(state: VisitState, cause: At<'cause'>): ReadonlySet<RepairStep> {
  const { entries, power, leads, repairs, proofs } = state
  const place = ({ entry }: { readonly entry: At<'cause'>['entry'] }): number => entries.indexOf(entry)
  const repair = repairs.find((each) => each.body.of === cause.body.of && place(each) > place(cause))
  const own = leads.filter(({ body }) => body.of === cause.body.of)
  const isolatedSince = entries.slice(place(cause)).some(({ body }) => body.kind === 'isolation')
  const is: Readonly<Record<RepairStep, boolean>> = {
    isolated: power === 'isolated' || isolatedSince,
    'leads-noted': own.length > 0,
    repaired: repair !== undefined,
    'leads-back': own.length > 0 && own.every(({ landed }) => landed !== null),
    'power-on': repair !== undefined && power === 'on',
    proven: repair !== undefined && proofs.some((proof) => proof.body.passed && place(proof) > place(repair)),
  }
  return new Set(repairOrder.filter((step) => is[step]))
}
