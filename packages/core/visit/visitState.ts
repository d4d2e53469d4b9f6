import type { EntryBody } from './entry'
import { merge, standingEntries, type Entry } from './log'

export type Of<K extends EntryBody['kind']> = EntryBody & { readonly kind: K }
export type At<K extends EntryBody['kind']> = { readonly entry: Entry; readonly body: Of<K> }

/** A test bridge still in place. */
export interface OpenBridge {
  readonly entry: Entry
  readonly from: string
  readonly to: string
}

/** Everything shown of a visit: a fold over its log. */
export interface VisitState {
  readonly entries: readonly Entry[]
  readonly complaint: string
  readonly complaintWords: string
  readonly call: string | null
  readonly power: Of<'power'>['is']
  readonly firstLook: ReadonlyMap<string, At<'first-look'>>
  readonly readings: readonly (At<'reading'> & { readonly call: string | null; readonly power: Of<'power'>['is'] })[]
  readonly observations: readonly At<'observation'>[]
  readonly repairs: readonly At<'repair'>[]
  readonly proofs: readonly At<'proof'>[]
  readonly notes: readonly At<'note'>[]
  readonly openBridges: readonly OpenBridge[]
  readonly signOff: At<'sign-off'> | null
}

const isKind = <K extends EntryBody['kind']>(kind: K) => (entry: Entry): boolean => entry.body.kind === kind
const all = <K extends EntryBody['kind']>(entries: readonly Entry[], kind: K): readonly At<K>[] =>
  entries.filter(isKind(kind)).map((entry) => ({ entry, body: entry.body as Of<K> }))

/** Folds a log, in any order and with doubles, into what the visit is now. */
export function foldVisit(log: readonly Entry[]): VisitState {
  const entries = standingEntries(merge(log))
  let call: string | null = null
  let power: Of<'power'>['is'] = 'on'
  const readings: VisitState['readings'][number][] = []
  const bridges = new Map<string, OpenBridge>()
  for (const entry of entries) {
    const { body } = entry
    if (body.kind === 'call') call = body.call
    if (body.kind === 'power') power = body.is
    if (body.kind === 'reading') readings.push({ entry, body, call, power })
    if (body.kind === 'action' && (body.do === 'bridge' || body.do === 'unbridge')) {
      const key = [body.of, body.to ?? ''].sort().join(' ')
      if (body.do === 'bridge') bridges.set(key, { entry, from: body.of, to: body.to ?? '' })
      else bridges.delete(key)
    }
  }
  const complaint = all(entries, 'complaint').at(-1)
  return {
    entries, call, power, readings,
    complaint: complaint?.body.complaint ?? '',
    complaintWords: complaint?.body.words ?? '',
    firstLook: new Map(all(entries, 'first-look').map((look) => [look.body.item, look])),
    observations: all(entries, 'observation'),
    repairs: all(entries, 'repair'),
    proofs: all(entries, 'proof'),
    notes: all(entries, 'note'),
    openBridges: [...bridges.values()],
    signOff: all(entries, 'sign-off').at(-1) ?? null,
  }
}

/** Why a visit cannot be signed off as repaired; empty when it can. */
export function signOffProblems(state: VisitState): readonly string[] {
  return [
    ...state.openBridges.map(({ from, to }) => `A test bridge is still on, ${from} to ${to}: take it off and say so`),
    ...(state.repairs.length === 0 ? ['No repair is recorded: sign off as restricted or left off, or record it'] : []),
    ...(state.repairs.length > 0 && !state.proofs.some(({ body }) => body.passed) ? ['The repair is not proven: run the call and record its proof'] : []),
    ...(state.power === 'on' ? [] : ['The unit is switched off: switch it on and prove it']),
  ]
}
