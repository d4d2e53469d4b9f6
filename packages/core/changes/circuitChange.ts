import type { Circuit } from '../circuit/circuit'
import { loadAmps, runsFromAmps } from '../circuit/loadAmps'
import { implausible } from '../circuit/plausible'
import { clampAmps } from '../circuit/meter'
import { partOfPoint, partWords, type Call, type Diagram } from '../diagram/diagram'
import { wireAt } from '../diagram/wireAt'
import { weakPulls } from './coilInrush'
import { guardsLostIn, type LostGuard } from './lostGuards'
import { leadList, type LeadChange } from './leadChange'
import { openedDevices } from './openedDevices'
import { partList, type PartChange } from './partChange'
import { solvedPairs } from './solvedPairs'

/** A load that draws something else in a call than it did. Amps; 0: still. */
export interface LoadChange {
  readonly call: string
  readonly load: string
  readonly was: number
  readonly now: number
}

/** What becomes of a unit when one circuit is made of another: all of it worked out before a lead is moved. */
export interface CircuitChange {
  readonly leads: readonly LeadChange[]
  readonly parts: readonly PartChange[]
  readonly loads: readonly LoadChange[]
  readonly lostGuards: readonly LostGuard[]
  /** What the unit does no more, in words. */
  readonly givenUp: readonly string[]
  /** What cannot bear it: ratings, coils that would not pull in together, fuses and breakers that open. In words. */
  readonly tooMuch: readonly string[]
  /** The calls that have to be proven once it is done. */
  readonly prove: readonly Call[]
}

/** A load counts as drawing something else from this share on. */
const noticedShare = 0.02

/** Compares two circuits of one unit, solved in each of their calls. */
export function circuitChange(before: Diagram, after: Diagram): CircuitChange {
  const pairs = solvedPairs(before, after)
  const leads = leadList(before, after)
  const parts = partList(before, after)
  const loads = pairs.flatMap(({ call, was, now }) => loadChanges(call, was, now))
  const lostGuards = pairs.flatMap(guardsLostIn)
  const newCalls = after.calls.filter(({ id }) => !pairs.some(({ call }) => call.id === id))
  const touched = new Set([...changedPoints(leads), ...parts.map(({ part }) => part)])
  const concerned = pairs.filter(
    ({ call, was, now }) =>
      isOff(call) ||
      loads.some((change) => change.call === call.id) ||
      [was, now].some((circuit) => carries(circuit, touched)),
  )
  const isChanged = leads.length > 0 || parts.length > 0
  return {
    leads,
    parts,
    loads,
    lostGuards,
    givenUp: givenUp(before, after),
    tooMuch: [
      ...new Set([
        ...newlyImplausible(before, after),
        ...pairs.flatMap(({ call, was, now }) => overloads(call, was, now)),
      ]),
    ],
    prove: isChanged ? [...concerned.map(({ call }) => call), ...newCalls] : [],
  }
}

/** After any change it is proven that nothing runs that nobody called for. */
const isOff = ({ id }: Call): boolean => id === 'off'

/** What parts did that are wired so no more, or are gone. */
const givenUp = (before: Diagram, after: Diagram): readonly string[] =>
  [...before.parts.values()].flatMap(({ id, words, kind: { givenUp: service } }) => {
    const isWired = (diagram: Diagram): boolean =>
      service?.without.some((terminal) => wireAt(diagram, `${id}.${terminal}`)) ?? false
    return service && isWired(before) && !isWired(after) ? [`${words} (${id}): ${service.words}`] : []
  })

function loadChanges({ id }: Call, before: Circuit, after: Circuit): readonly LoadChange[] {
  const were = loadAmps(before.healthy)
  const are = loadAmps(after.healthy)
  const still = (amps: number): number => (amps < runsFromAmps ? 0 : amps)
  return [...new Set([...were.keys(), ...are.keys()])].flatMap((load) => {
    const was = still(were.get(load) ?? 0)
    const now = still(are.get(load) ?? 0)
    return Math.abs(now - was) > noticedShare * Math.max(now, was) ? [{ call: id, load, was, now }] : []
  })
}

const newlyImplausible = (before: Diagram, after: Diagram): readonly string[] => {
  const known = new Set(implausible(before).map(({ of, rule }) => `${rule} ${of}`))
  return implausible(after)
    .filter(({ of, rule }) => !known.has(`${rule} ${of}`))
    .map(({ of, words }) => `${partWords(after, of)} (${of}): ${words}`)
}

/** What a call asks too much of, and did not before. */
function overloads({ words }: Call, before: Circuit, after: Circuit): readonly string[] {
  const hadOpened = new Set(openedDevices(before.healthy).map(({ id }) => id))
  const wasWeak = new Set(weakPulls(before).map(({ part }) => part.id))
  return [
    ...openedDevices(after.healthy)
      .filter(({ id }) => !hadOpened.has(id))
      .map((part) => `${words}: ${part.words} (${part.id}) opens`),
    ...weakPulls(after)
      .filter(({ part }) => !wasWeak.has(part.id))
      .map(
        ({ part, share }) =>
          `${words}: ${part.words} (${part.id}) gets ${Math.round(share * 100)} % of its volts while the coils pull in together`,
      ),
    ...(after.healthy.oscillates && !before.healthy.oscillates
      ? [`${words}: the circuit never comes to rest`]
      : []),
  ]
}

const changedPoints = (leads: readonly LeadChange[]): readonly string[] =>
  leads.flatMap((lead) => (lead.is === 'moved' ? [lead.stays, lead.off, lead.onto] : [lead.from, lead.to]))

/** From here a wire counts as carrying something, amperes. */
const carriesFromAmps = 0.005

/** Whether anything flows in a wire that ends at one of these points or parts. */
function carries({ healthy, network, diagram }: Circuit, touched: ReadonlySet<string>): boolean {
  return [...diagram.wires.values()].some(({ id, from, to }) => {
    const link = network.linkNumbers.get(id)
    const isTouched = [from, to].some((end) => touched.has(end) || touched.has(partOfPoint(end)))
    return isTouched && link !== undefined && clampAmps(healthy, link) >= carriesFromAmps
  })
}
