import type { Diagram } from '../diagram/diagram'
import { faultsOf } from '../diagram/faults'
import type { Fault } from '../parts/effect'
import type { FaultClass } from '../parts/faultClass'
import type { At, Of } from './fold'
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

/** How what was taken for the cause is put right: the steps of it, and what its repair is. */
interface RepairPlan {
  readonly steps: readonly RepairStep[]
  readonly repaired: string
}

const renewing: RepairPlan = { steps: repairOrder, repaired: 'Repaired, or a part fitted' }
/** Nothing is taken apart: what opened by itself is no part to renew, a handle and a setting are moved. */
const nothingApart: readonly RepairStep[] = ['repaired', 'power-on', 'proven']
const putRight: RepairPlan = { steps: nothingApart, repaired: 'Put right' }

const byClass: Readonly<Partial<Record<FaultClass, RepairPlan>>> = {
  trip: { steps: nothingApart, repaired: 'What tripped it found and put right' },
  off: putRight,
  setting: putRight,
  supply: putRight,
  surroundings: putRight,
  fouled: {
    steps: ['isolated', 'repaired', 'power-on', 'proven'],
    repaired: 'Cleaned, cleared or renewed',
  },
}

/** What was taken for the cause, as the drawing knows it. */
const faultTaken = (diagram: Diagram, { fault }: Of<'cause'>): Fault | undefined =>
  faultsOf(diagram).find(({ id }) => id === fault)

/** What usually trips it, of a cause that only opened by what it watches; null of any other. */
export function usualTrip(diagram: Diagram, cause: Of<'cause'>): string | null {
  const fault = faultTaken(diagram, cause)
  return fault?.class === 'trip' ? fault.cause : null
}

/** Causes that only opened, of which nobody has said yet what tripped them. */
export const withoutTrip = (
  { causes, repairs }: Pick<VisitState, 'causes' | 'repairs'>,
  diagram: Diagram,
): readonly At<'cause'>[] =>
  causes.filter(
    ({ body }) =>
      usualTrip(diagram, body) !== null &&
      !repairs.some((repair) => repair.body.of === body.of && (repair.body.trippedBy ?? '') !== ''),
  )

/** How a cause is put right, by what sort of fault it is. */
export function repairPlan(diagram: Diagram, cause: Of<'cause'>): RepairPlan {
  const fault = faultTaken(diagram, cause)
  return (fault && byClass[fault.class]) ?? renewing
}

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
