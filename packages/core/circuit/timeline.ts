import type { Diagram } from '../diagram/diagram'
import type { Effect } from '../parts/effect'
import { Circuit, type Situation } from './circuit'
import { effectsDuring } from './during'
import type { Link } from './network'
import { resolveEffects, type Overrides } from './overrides'

/** Something that changed by itself: which link, to what, when. */
export interface TimelineEvent {
  readonly seconds: number
  readonly link: string
  readonly from: string
  readonly to: string
}

/** How everything stood for a while: the state of every link, by link number, and for how long. */
export interface Stretch {
  readonly states: readonly string[]
  readonly seconds: number
}

export interface Timeline {
  readonly events: readonly TimelineEvent[]
  /** The circuit goes round and round: seconds a round, null when it comes to rest. */
  readonly periodSeconds: number | null
  /** How it stands in one such round, from one change to the next; empty when it comes to rest. */
  readonly round: readonly Stretch[]
  /** State of every link at the end, by link number of the circuit of the call. */
  readonly states: readonly string[]
}

/** Changes within one instant after which it is called chattering, and time moves on all the same. */
const mostAtOnce = 60
/** How fast something that chatters does so, seconds. */
const chatterSeconds = 0.05

/**
 * What happens by itself after a call is set: contacts follow at once, delays run, fuses open by current and
 * time.
 * Starts from the state in which `before` has come to rest, and ends at `untilSeconds` or when nothing is
 * pending.
 */
export function playTimeline(
  diagram: Diagram,
  before: Situation,
  after: Situation,
  effects: readonly Effect[],
  untilSeconds: number,
): Timeline {
  const rest = new Circuit(diagram, before).vary(effects)
  const circuit = new Circuit(diagram, after)
  const overrides = resolveEffects(circuit.network, effectsDuring(effects, after.call))
  const letGo = heldBy(before)
  const held = heldBy(after)
  const startOf = ({ id, part, rest: own }: Link, number: number): string => {
    // a hand puts back what it held: a breaker that was switched off has not tripped
    const isPutBack = letGo.has(id) && part !== null && diagram.isolators.includes(part.id)
    return overrides.held.get(number) ?? held.get(id) ?? (isPutBack ? own : (rest.states[number] ?? own))
  }
  const upto: Upto = { seconds: untilSeconds, solves: Infinity }
  return playOn(circuit, overrides, circuit.network.links.map(startOf), upto)
}

/** How far a circuit is played on, at most. */
interface Upto {
  readonly seconds: number
  /** Times that it is solved: what chatters while something slow runs comes round to nothing for hours. */
  readonly solves: number
}

/** The same of a circuit whose links stand in such states. */
export function playOn(
  circuit: Circuit,
  overrides: Overrides,
  from: readonly string[],
  upto: Upto,
): Timeline {
  const states = [...from]
  const delays = delaysOf(circuit)
  const pending = new Map<number, { readonly to: string; readonly at: number }>()
  const events: TimelineEvent[] = []
  const stretches: Stretch[] = []
  const seen = new Map<string, { readonly at: number; readonly stretch: number }>()
  let seconds = 0
  let atOnce = 0
  let periodSeconds: number | null = null
  let round: readonly Stretch[] = []
  const change = (link: number, to: string): void => {
    events.push({ seconds, link: circuit.network.links[link].id, from: states[link], to })
    states[link] = to
    pending.delete(link)
  }
  let solves = 0
  while (seconds <= upto.seconds && solves < upto.solves) {
    solves += 1
    const solution = circuit.solveStates(states, overrides)
    const wanted = circuit.wantsIn(solution, states, overrides)
    for (const link of [...pending.keys()])
      if (wanted.get(link)?.state !== pending.get(link)?.to) pending.delete(link)
    let moved = false
    for (const [link, { state: to, after }] of wanted) {
      const wait = after > 0 ? after : (delays.get(`${circuit.network.links[link].id} ${to}`) ?? 0)
      if (wait <= 0 && atOnce < mostAtOnce) {
        change(link, to)
        moved = true
      } else if (!pending.has(link)) pending.set(link, { to, at: seconds + Math.max(wait, chatterSeconds) })
    }
    if (moved) {
      atOnce += 1
      continue
    }
    const signature = `${states.join()} ${[...pending]
      .map(([link, { to, at }]) => `${link}${to}${(at - seconds).toFixed(3)}`)
      .sort()
      .join()}`
    const earlier = seen.get(signature)
    if (earlier !== undefined && seconds > earlier.at) {
      periodSeconds = seconds - earlier.at
      round = stretches.slice(earlier.stretch)
      break
    }
    seen.set(signature, { at: seconds, stretch: stretches.length })
    const [next] = [...pending].sort((a, b) => a[1].at - b[1].at)
    if (!next) break
    stretches.push({ states: [...states], seconds: next[1].at - seconds })
    seconds = next[1].at
    if (seconds > upto.seconds) break
    atOnce = 0
    change(next[0], next[1].to)
  }
  return { events, periodSeconds, round, states }
}

/** What stands held in a situation: an isolator that is off, a switch that is stuck. */
const heldBy = ({ standing }: Situation): ReadonlyMap<string, string> =>
  new Map(standing.flatMap((effect) => (effect.does === 'hold' ? [[effect.branch, effect.state]] : [])))

type Delays = ReadonlyMap<string, number>

function delaysOf(circuit: Circuit): Delays {
  const delays = new Map<string, number>()
  for (const part of circuit.diagram.parts.values())
    for (const { branch, to, seconds } of part.kind.delays?.(part.settings) ?? [])
      delays.set(`${part.id}/${branch} ${to}`, seconds)
  return delays
}
