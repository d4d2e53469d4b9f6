import { partOfPoint, type Diagram, type Part } from '../diagram/diagram'
import { joinProblem } from '../diagram/joins'
import { liftedAt } from '../diagram/liftedAt'
import { farFrom, wiresAt } from '../diagram/wireAt'
import { boardHot, callTerminals } from '../diagram/roles'
import type { Fault, PointId } from '../parts/effect'
import { actAfter, effectsOfAction } from '../visit/actions'
import { complaintSaid } from '../visit/complaintSaid'
import { poweredAgain, takenApart } from '../visit/poweredAgain'
import type { Standing } from '../visit/standing'
import { isolatedCandidates, liveCandidates, type Candidate } from './candidates'
import { leadingFew, shareOf } from './leadingFew'
import { oneRepairOf } from './oneRepair'
import { lookSteps, readingSteps, situationIn, type Search } from './proposals'
import { readAlone } from './readAlone'
import type { SituationModel } from './situationModel'
import type { Deed, Step } from './steps'

/** Seconds that an action takes, its undoing counted in. */
const seconds = {
  bridge: 40,
  unplug: 45,
  plug: 20,
  lift: 90,
  land: 40,
  warm: 90,
  cool: 120,
  start: 60,
} as const
type ProposedVerb = keyof typeof seconds

/** So many suspects at the most are tried with actions: before that, plain readings part them faster. */
const mostSuspects = 60
const mostDeeds = 14
/**
 * So many suspects are read alone, of a verdict or of those that hold this share and can all be; and what
 * each must have.
 */
const mostAlone = { ofVerdict: 4, ofAll: 12 } as const
const aloneShare = 0.9
const aloneFrom = 0.005

interface Proposal extends Deed {
  readonly verb: ProposedVerb
  readonly power: 'on' | 'off'
  /** What to read once it is done; a look at what should move goes without saying. */
  readonly readings: readonly Candidate[]
}

/**
 * Actions that would tell suspects apart: join hot to a call at the board, bridge a contact for a moment
 * where its kind allows it, warm or cool a sensor, begin a call anew and watch; with the unit isolated,
 * unplug a section or lift a lead and read again. Limits, smoke, gas-safety and high-pressure controls, phase
 * protection and line poles are not on the list at all, and no trip is reset to see whether it comes again.
 */
export function deedSteps(all: Search): readonly Step[] {
  const search = amongStrongest(all)
  if (search === null) return []
  const { findings, model, which } = search
  const blamed = new Set(which.flatMap((h) => model.hypotheses[h].of))
  // among many, most of them faint, only a start is worth working out
  const others =
    search === all
      ? proposalsFor(model.diagram, blamed)
      : [...model.diagram.parts.values()].flatMap((part) => startProposals(model.diagram, part))
  const offered = [...aloneProposals(all), ...together(model.diagram, findings.now), ...others]
  return offered
    .filter(
      ({ verb, of, to }) =>
        !findings.unreachable.has(of) &&
        !findings.unreachable.has(to) &&
        !(verb === 'bridge' && joinProblem(model.diagram, of, to)),
    )
    .slice(0, mostDeeds)
    .flatMap((proposal): readonly Step[] => {
      if (isDone(findings.now, proposal)) return []
      const { verb, of, to, power, readings } = proposal
      const cost = seconds[verb] + (power !== findings.now.power ? search.costs.isolateSeconds : 0)
      const deed: Deed = { verb, of, to }
      return standingsOf(search, proposal).flatMap((standing) => {
        const situation = situationAfter(search, standing, deed)
        return [
          ...readingSteps(search, standing, readings, situation, deed, cost),
          ...(power === 'on' ? lookSteps(search, standing, situation, deed, cost) : []),
        ]
      })
    })
}

/** A standing solved with a deed done in it; with what it undoes gone. */
function situationAfter(search: Search, standing: Standing, { verb, of, to }: Deed): SituationModel {
  const { diagram } = search.model
  const done = effectsOfAction(diagram, verb, of, to)
  if (done.length > 0) return situationIn(search, standing).with(done)
  return situationIn(search, { ...standing, actions: actAfter(diagram, standing.actions, verb, of, to) })
}

const isDone = ({ actions }: Standing, { verb, of }: Proposal): boolean =>
  actions.some((action) => action.verb === verb && action.of === of)

/** With leads off already, what they came off for. */
export const readingsLeftAlone = (search: Search): readonly Candidate[] =>
  search.findings.now.power === 'on' || search.findings.now.actions.length === 0
    ? []
    : aloneProposals(search).flatMap((proposal) =>
        isDone(search.findings.now, proposal) ? proposal.readings : [],
      )

/** With leads off or plugs out at rest: each of them back, and read again what tells then. */
function together(diagram: Diagram, now: Standing): readonly Proposal[] {
  if (now.power === 'on') return []
  const apart = takenApart(now)
  return apart.map(({ verb, of }): Proposal => ({
    verb: verb === 'lift' ? 'land' : 'plug',
    of,
    to: '',
    power: 'off',
    readings: isolatedCandidates(diagram),
  }))
}

/** Where a deed is done: in the call that is set, and a start in the call that was complained of as well. */
function standingsOf({ model, findings }: Search, { verb, power }: Proposal): readonly Standing[] {
  const { now, complaint } = findings
  if (power === 'off') return [{ ...now, power }]
  const here = poweredAgain(now)
  const meant = complaintSaid(model.diagram, complaint)?.call
  const isElsewhere = verb === 'start' && meant !== undefined && meant !== here.call
  return isElsewhere ? [here, { ...here, call: meant, age: null }] : [here]
}

/** Share of the belief that the strongest suspects must hold for the rest to be left aside. */
const strongestShare = 0.9

/**
 * The search among few suspects: all of them, or the strongest where they hold nearly everything; else none.
 */
function amongStrongest(search: Search): Search | null {
  const { model, which, belief } = search
  const { probability } = belief
  if (which.length <= mostSuspects) return search
  const strongest = [...which].sort((a, b) => probability[b] - probability[a]).slice(0, mostSuspects)
  const share = strongest.reduce((sum, h) => sum + probability[h], 0)
  return share < strongestShare
    ? null
    : {
        ...search,
        which: strongest,
        // what is mended is asked of those alone that are worked out
        repair: oneRepairOf(model, belief, strongest),
      }
}

function proposalsFor(diagram: Diagram, blamed: ReadonlySet<string>): readonly Proposal[] {
  const parts = [...diagram.parts.values()]
  return [
    ...parts.filter(({ id }) => blamed.has(id)).flatMap((part) => windingProposals(diagram, part)),
    ...calls(diagram),
    ...parts.flatMap((part) => startProposals(diagram, part)),
    ...parts.flatMap((part) => contactProposals(part, blamed)),
    ...parts.flatMap((part) => plugProposals(diagram, part)),
    ...leadProposals(diagram, blamed),
  ]
}

/** Hot to each call terminal of the board: takes the thermostat out of the question. */
const calls = (diagram: Diagram): readonly Proposal[] => {
  const hot = boardHot(diagram)
  if (hot === null) return []
  return callTerminals(diagram).map((to): Proposal => ({
    verb: 'bridge',
    of: hot,
    to,
    power: 'on',
    readings: [],
  }))
}

/** A control that goes through a sequence tells most while it does. */
function startProposals(diagram: Diagram, { id, kind }: Part): readonly Proposal[] {
  if (!kind.start) return []
  const own = kind.start.readings.map(({ meter, from, to }): Candidate => ({
    meter,
    from: `${id}.${from}`,
    to: `${id}.${to}`,
  }))
  const atLoads = own.flatMap(({ meter, from }) =>
    meter === 'volts' ? voltsWhereItLeads(diagram, from) : [],
  )
  return [{ verb: 'start', of: id, to: '', power: 'on', readings: [...own, ...atLoads] }]
}

/** Volts at what hangs on a terminal: what is given out has yet to arrive there. */
function voltsWhereItLeads(diagram: Diagram, terminal: PointId): readonly Candidate[] {
  const reached = new Set(wiresAt(diagram, terminal).map((wire) => farFrom(terminal, wire)))
  return liveCandidates(diagram).filter(
    ({ meter, from, to }) => meter === 'volts' && (reached.has(from) || reached.has(to)),
  )
}

function contactProposals(part: Part, blamed: ReadonlySet<string>): readonly Proposal[] {
  if (!blamed.has(part.id)) return []
  const [contact] = part.kind
    .branches(part.settings, {})
    .filter(({ role }) => role === 'contact' || role === 'sensor')
  if (!contact || contact.from === 'EARTH') return []
  const from = `${part.id}.${contact.from}`
  const to = `${part.id}.${contact.to}`
  const across: Candidate = { meter: contact.role === 'sensor' ? 'dc' : 'volts', from, to }
  const { testBridge, touched } = part.kind
  return [
    ...(testBridge !== undefined && testBridge !== 'never'
      ? [{ verb: 'bridge', of: from, to, power: 'on', readings: [] } as const]
      : []),
    ...(touched
      ? [
          { verb: 'warm', of: part.id, to: '', power: 'on', readings: [across] } as const,
          { verb: 'cool', of: part.id, to: '', power: 'on', readings: [across] } as const,
        ]
      : []),
  ]
}

/**
 * Shorts, or contacts that stay made, that are the verdict or come next to it, or that all the rest are: each
 * read alone. What has told against one may have to be read again.
 */
function aloneProposals({ model: { diagram, hypotheses }, belief, which }: Search): readonly Proposal[] {
  const strongest = which.slice(0, mostAlone.ofAll).filter((h) => belief.probability[h] > aloneFrom)
  const inTurn = strongest.flatMap((h, place) => {
    const proposals = hypotheses[h].faults.flatMap((fault) => readAloneProposals(diagram, fault))
    return proposals.length > 0 ? [{ h, place, proposals }] : []
  })
  const isVerdict = leadingFew(belief) !== null
  const held = shareOf(
    inTurn.map(({ h }) => h),
    belief.probability,
  )
  if (!isVerdict && held < aloneShare) return []
  return inTurn
    .filter(({ place }) => !isVerdict || place < mostAlone.ofVerdict)
    .flatMap(({ proposals }) => proposals)
}

function readAloneProposals(diagram: Diagram, fault: Fault): readonly Proposal[] {
  const alone = readAlone(diagram, fault)
  return alone ? [{ verb: 'lift', of: alone.lifted, to: '', power: 'off', readings: alone.readings }] : []
}

/** Windings of a motor with its common lead off: with it on, all that hangs on the same wires reads along. */
function windingProposals(diagram: Diagram, { id, kind, settings }: Part): readonly Proposal[] {
  if (kind.commonTerminal === undefined) return []
  const common = `${id}.${kind.commonTerminal}`
  const pairs = kind.pairs?.(settings) ?? []
  const leads = wiresAt(diagram, common)
  const readings = pairs.map(([from, to]): Candidate => ({
    meter: 'ohms',
    from: `${id}.${from}`,
    to: `${id}.${to}`,
  }))
  return leads.length === 1 ? [{ verb: 'lift', of: leads[0].id, to: '', power: 'off', readings }] : []
}

/** What touches common, the metal or the hot side at the board, with a section or a lead away. */
function shortReadings(diagram: Diagram): readonly Candidate[] {
  const toCommonAndMetal = [...diagram.points.values()]
    .filter(({ id, part }) => part === partOfPoint(diagram.common) && id !== diagram.common)
    .flatMap(({ id }): readonly Candidate[] => [
      { meter: 'ohms', from: id, to: diagram.common },
      { meter: 'ohms', from: id, to: 'EARTH' },
    ])
  const hot = boardHot(diagram)
  if (hot === null) return toCommonAndMetal
  const toHot = callTerminals(diagram).map((to): Candidate => ({ meter: 'ohms', from: hot, to }))
  return [...toCommonAndMetal, ...toHot]
}

const plugProposals = (diagram: Diagram, part: Part): readonly Proposal[] =>
  part.kind.pulledApart
    ? [{ verb: 'unplug', of: part.id, to: '', power: 'off', readings: shortReadings(diagram) }]
    : []

/** Field leads that come off at the board, and that suspects lay blame on. */
const leadProposals = (diagram: Diagram, blamed: ReadonlySet<string>): readonly Proposal[] =>
  [...diagram.wires.values()]
    .filter((lead) => {
      const [end, other] = blamed.has(lead.id) ? liftedAt(diagram, lead) : []
      return end !== undefined && other === undefined && partOfPoint(end) === diagram.board
    })
    .map(({ id }): Proposal => ({
      verb: 'lift',
      of: id,
      to: '',
      power: 'off',
      readings: shortReadings(diagram),
    }))
