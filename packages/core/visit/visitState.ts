import type { Diagram } from '../diagram/diagram'
import { complaintSaid } from './complaintSaid'
import { entriesOf, type At, type Of } from './fold'
import { merge, standingEntries, type Entry } from './log'
import { allOn, powerAfter, type PowerState } from './powerState'
import { spotsIn, type Spot } from './spots'
import type { StandingAction } from './actions'
import { atArrival, follow, type Standing } from './standing'
import { supplyDanger, supplyDangerWords } from './supplyDanger'
import { unitAsMeasured } from './unitAsMeasured'
import {
  alterationsOf,
  openMeasures,
  temporaryWords,
  type Alteration,
  type TemporaryMeasure,
} from './temporary'

export type { At, Of } from './fold'

/** Everything shown of a visit: a fold over its log. */
export interface VisitState {
  readonly entries: readonly Entry[]
  readonly complaint: string
  readonly complaintWords: string
  readonly controls: Of<'controls'> | null
  readonly call: string | null
  /** When the call that is set was set, milliseconds of the device's clock. */
  readonly callSince: number | null
  readonly power: Of<'power'>['is']
  /** Isolators that are off while the rest is on. */
  readonly off: readonly string[]
  readonly isolation: At<'isolation'> | null
  readonly firstLook: ReadonlyMap<string, At<'first-look'>>
  readonly readings: readonly (At<'reading'> & WhenTaken)[]
  readonly observations: readonly Seen[]
  readonly photos: readonly At<'photo'>[]
  /** Where test points are on its pictures, by point. */
  readonly spots: ReadonlyMap<string, Spot>
  readonly alterations: readonly Alteration[]
  readonly goAheads: readonly At<'go-ahead'>[]
  readonly leads: readonly LeadFound[]
  readonly partsUsed: readonly At<'part-used'>[]
  readonly settings: readonly At<'setting'>[]
  /** What was taken for the cause. */
  readonly causes: readonly At<'cause'>[]
  readonly repairs: readonly At<'repair'>[]
  readonly proofs: readonly ProofTaken[]
  readonly restored: ReadonlyMap<string, boolean>
  readonly defects: readonly At<'defect'>[]
  readonly support: readonly At<'support'>[]
  readonly notes: readonly At<'note'>[]
  readonly diagramChanges: readonly At<'diagram-changed'>[]
  readonly rewirings: readonly At<'rewired'>[]
  readonly measures: readonly TemporaryMeasure[]
  readonly signOff: At<'sign-off'> | null
  /** What stands on the unit: call, power, leads off, plugs out, stand-ins, settings. */
  readonly standing: Standing
  /** What was said after the visit was signed off: it changes nothing of the visit as it was signed. */
  readonly addenda: readonly Entry[]
  /** Entries that do not fit what came before them, as two devices may bring them together; they count for nothing. */
  readonly setAside: readonly Entry[]
}

/** The call that was set when something was read or seen, the power, and what was done to the unit for it. */
export interface WhenTaken {
  readonly call: string | null
  readonly power: Of<'power'>['is']
  readonly done: readonly StandingAction[]
}

/** What was seen, and the parts that had been put back or renewed by then. */
export interface Seen extends At<'observation'>, WhenTaken {
  readonly renewed: Standing['renewed']
}

/** A proof with what stood on the unit as it was said, and for how many seconds. */
export interface ProofTaken extends At<'proof'> {
  readonly standing: Standing
  /** Since call or power was last changed, by the clock or as somebody said; no change at all is long ago. */
  readonly seconds: number
}

/** A lead as found and, once it is back, where it was landed. */
export interface LeadFound extends At<'lead-found'> {
  readonly landed: Of<'lead-landed'> | null
}

/**
 * Folds a log of a unit, in any order and with doubles, into what the visit is now. Its first sign-off closes it: what comes
 * after is kept beside it and changes nothing that was signed.
 */
export function foldVisit(log: readonly Entry[], diagram: Diagram): VisitState {
  const all = merge(log)
  const closing = all.findIndex(({ body }) => body.kind === 'sign-off')
  const entries = standingEntries(closing < 0 ? all : all.slice(0, closing + 1))
  const stood = standingAfter(entries, diagram)
  const { standing, setAside } = stood
  const { call, callSince, power, off, readings, observations, proofs } = takenIn(entries, diagram, stood)
  const complaint = entriesOf(entries, 'complaint').at(-1)
  const closed = new Set(entriesOf(entries, 'defect-closed').map(({ body }) => body.entry))
  const landed = entriesOf(entries, 'lead-landed').map(({ body }) => body)
  return {
    entries,
    call,
    callSince,
    power,
    off,
    readings,
    complaint: complaint?.body.complaint ?? '',
    complaintWords: complaint?.body.words ?? '',
    controls: entriesOf(entries, 'controls').at(-1)?.body ?? null,
    isolation: power === 'isolated' ? (entriesOf(entries, 'isolation').at(-1) ?? null) : null,
    firstLook: new Map(entriesOf(entries, 'first-look').map((look) => [look.body.item, look])),
    observations,
    photos: entriesOf(entries, 'photo'),
    spots: spotsIn(entries),
    alterations: alterationsOf(entries),
    goAheads: entriesOf(entries, 'go-ahead'),
    leads: entriesOf(entries, 'lead-found').map((lead) => ({
      ...lead,
      landed:
        landed.find(
          ({ of, color, number }) =>
            of === lead.body.of && color === lead.body.color && number === lead.body.number,
        ) ?? null,
    })),
    partsUsed: entriesOf(entries, 'part-used'),
    settings: entriesOf(entries, 'setting'),
    causes: entriesOf(entries, 'cause'),
    repairs: entriesOf(entries, 'repair'),
    proofs,
    restored: new Map(entriesOf(entries, 'restored').map(({ body }) => [body.item, body.is])),
    defects: entriesOf(entries, 'defect').filter(({ entry }) => !closed.has(entry.id)),
    support: entriesOf(entries, 'support'),
    notes: entriesOf(entries, 'note'),
    diagramChanges: entriesOf(entries, 'diagram-changed'),
    rewirings: entriesOf(entries, 'rewired'),
    measures: openMeasures(entries),
    standing,
    setAside,
    addenda: closing < 0 ? [] : all.slice(closing + 1),
    signOff: entriesOf(entries, 'sign-off').at(-1) ?? null,
  }
}

type Taken = Pick<VisitState, 'call' | 'callSince' | 'power' | 'off' | 'readings' | 'observations' | 'proofs'>

/** What was read, seen and proven, each with the call and the power that it was taken in. */
function takenIn(entries: readonly Entry[], diagram: Diagram, { atProof, before }: StandingFolded): Taken {
  let call: string | null = null
  let callSince: number | null = null
  let switched: PowerState = allOn
  let isolated = false
  const readings: VisitState['readings'][number][] = []
  const observations: VisitState['observations'][number][] = []
  const proofs: ProofTaken[] = []
  for (const entry of entries) {
    const { body } = entry
    if (body.kind === 'call') {
      call = body.call
      callSince = entry.clock.wall
    }
    if (body.kind === 'power') {
      switched = powerAfter(diagram, switched, body.is === 'on', body.of)
      isolated = switched.power === 'off' && (isolated || body.is === 'isolated')
      callSince = entry.clock.wall
    }
    const { actions: done = [], renewed = {} } = before.get(entry.id) ?? {}
    const when: WhenTaken = { call, power: powerWord(switched, isolated), done }
    if (body.kind === 'reading') readings.push({ entry, body, ...when })
    if (body.kind === 'observation') observations.push({ entry, body, ...when, renewed })
    const stood = atProof.get(entry.id)
    if (body.kind === 'proof' && stood)
      proofs.push({ entry, body, standing: stood, seconds: secondsOf(stood, entry, callSince) })
  }
  return {
    call,
    callSince,
    power: powerWord(switched, isolated),
    off: switched.off,
    readings,
    observations,
    proofs,
  }
}

/** Seconds that call and power have stood: by the clock, or longer where somebody knew better. */
const secondsOf = ({ age }: Standing, { clock }: Entry, since: number | null): number =>
  since === null ? Infinity : Math.max((clock.wall - since) / 1000, age ?? 0)

interface StandingFolded {
  readonly standing: Standing
  readonly setAside: readonly Entry[]
  /** What stood as each proof was said, by its entry. */
  readonly atProof: ReadonlyMap<string, Standing>
  /** What stood when something was read or seen, by its entry. */
  readonly before: ReadonlyMap<string, Standing>
}

/** Folds what stands on the unit; an entry that cannot follow what came before it is set aside. */
function standingAfter(entries: readonly Entry[], diagram: Diagram): StandingFolded {
  const setAside: Entry[] = []
  const atProof = new Map<string, Standing>()
  const before = new Map<string, Standing>()
  const said = entriesOf(entries, 'complaint').at(-1)?.body.complaint ?? ''
  let standing = atArrival(diagram, complaintSaid(diagram, said)?.call ?? diagram.calls[0].id)
  for (const entry of entries) {
    const { kind } = entry.body
    if (kind === 'reading' || kind === 'observation') before.set(entry.id, standing)
    try {
      standing = follow(diagram, standing, entry.body)
      if (kind === 'proof') atProof.set(entry.id, standing)
    } catch {
      setAside.push(entry)
    }
  }
  return { standing, setAside, atProof, before }
}

const powerWord = ({ power }: PowerState, isolated: boolean): Of<'power'>['is'] =>
  power === 'on' ? 'on' : isolated ? 'isolated' : 'off'

/** What still stands in the way of any sign-off: a measure left without its particulars is never silent. */
export const closingProblems = (state: VisitState): readonly string[] =>
  state.measures
    .filter(({ left }) => left === null)
    .map(
      (measure) =>
        `${temporaryWords(measure)} is still on: take it off and say so, or leave it with hazard, reason, authoriser, end date and who was told`,
    )

/**
 * What holds back power: a tone set drives a pair that control voltage would come back on, a lead hangs free,
 * nothing in the unit bears the supply.
 */
export const powerOnProblems = (state: VisitState, diagram: Diagram): readonly string[] => [
  ...supplyProblems(state, diagram),
  ...state.measures
    .filter(({ sort }) => sort === 'tone-set')
    .map((measure) => `${temporaryWords(measure)}. Take it off before power returns`),
  ...state.leads
    .filter(({ landed }) => landed === null)
    .map(({ body }) => `Lead ${body.color} ${body.number} of ${body.terminal} hangs free`),
]

/** The supply that was measured or chosen, where nothing in the unit can bear it. */
export function supplyProblems({ entries, readings }: VisitState, diagram: Diagram): readonly string[] {
  const chosen = entriesOf(entries, 'supply').map(({ body }) => body)
  const danger = supplyDanger(
    unitAsMeasured(diagram, chosen),
    readings.map(({ body: { meter, from, to = diagram.common, value } }) => ({ meter, from, to, value })),
  )
  return danger ? [supplyDangerWords(danger)] : []
}
