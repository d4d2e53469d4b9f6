import type { Diagram, Part } from '../diagram/diagram'
import type { Conditions, Late, NamesPart, Now, Phasor, Wants } from '../parts/kind'
import type { Settings } from '../parts/settings'
import type { Felt, Senses } from './factored'
import type { Analysis, Network } from './network'

interface MutablePhasor extends Phasor {
  re: number
  im: number
  size: number
}

/** Volts or amps below which a change of what a part feels is none. */
const unfelt = 1e-9

/** A part that acts or can be looked at, with the things it feels laid out for refilling. */
export interface Actor {
  readonly part: Part
  /** What it does at once. */
  readonly behave: ((now: Now) => Wants) | undefined
  /** What it does when all else is at rest. */
  readonly late: Late | undefined
  readonly now: {
    volts: Record<string, MutablePhasor>
    amps: Record<string, MutablePhasor>
    direct: Record<string, number>
    is: Record<string, string>
    followed: string
    compressor: string
    settings: Settings
    readonly call: string
    readonly conditions: Conditions
  }
  /**
   * Places in what is felt, and where they go; `across` is the part’s own link that the volts stand on, −1
   * for others.
   */
  readonly phasors: readonly { readonly at: number; readonly to: MutablePhasor; readonly across: number }[]
  readonly directs: readonly { readonly at: number; readonly name: string; readonly across: number }[]
  readonly own: ReadonlyMap<string, number>
  readonly followedLink: number
  readonly compressorLink: number
}

/** What is felt all over a circuit in one solution: phasors at supply frequency, and direct volts. */
export type Feelings = Readonly<Record<Analysis, Felt>>

/** A state in which every part rests: what holds in it and what is felt. */
export interface Rest {
  readonly states: readonly string[]
  /** Links that stand otherwise than in the healthy state. */
  readonly moved: readonly number[]
  /** Links that have another law than their own in it. */
  readonly replaced: readonly number[]
  readonly felt: Feelings
  /**
   * Squares of the sizes between which a phasor may move with no reason to act; `from` −1: any change is one.
   */
  readonly from: Float64Array
  readonly below: Float64Array
}

/** The parts of a network that act, and everything that they feel, in the order in which it is asked for. */
export interface Cast {
  readonly actors: readonly Actor[]
  readonly senses: Readonly<Record<Analysis, Senses>>
  /** Which actor feels each sense. */
  readonly feeler: Readonly<Record<Analysis, Int32Array>>
  /** Sizes that matter, by phasor; `null`: every change does. */
  readonly steps: readonly (readonly number[] | null)[]
  /** Actors that have to do with a link: it is theirs, or they follow it. */
  readonly concerned: readonly (readonly number[])[]
}

/**
 * Lays out the parts of a diagram that act or look in one call. Throws RangeError for a part that speaks of a
 * branch it has not.
 */
export function castOf(
  diagram: Diagram,
  network: Network,
  call: string,
  settingsOf: (part: Part) => Settings,
): Cast {
  const places: Record<Analysis, { plus: number; minus: number; actor: number }[]> = { ac: [], dc: [] }
  const steps: (readonly number[] | null)[] = []
  const concerned: number[][] = network.links.map(() => [])
  const { earthNode } = network
  const linkOf = (part: Part, branch: string): number => {
    const number = network.linkNumbers.get(`${part.id}/${branch}`)
    if (number === undefined) throw new RangeError(`${part.id} has no branch “${branch}”`)
    return number
  }
  const actors = [...diagram.parts.values()]
    .filter((part) => part.kind.behave ?? part.kind.late ?? part.kind.looks ?? part.kind.code)
    .map((part, actor): Actor => {
      const settings = settingsOf(part)
      const senses = part.kind.senses?.(settings) ?? {}
      const phasors: Actor['phasors'][number][] = []
      const directs: Actor['directs'][number][] = []
      const feel = (
        plus: number,
        minus: number,
        name: string,
        into: Record<string, MutablePhasor>,
        across = -1,
      ): void => {
        into[name] = { re: 0, im: 0, size: 0 }
        steps.push(senses.steps?.[name] ?? null)
        phasors.push({ at: places.ac.push({ plus, minus, actor }) - 1, to: into[name], across })
      }
      const volts: Record<string, MutablePhasor> = {}
      const amps: Record<string, MutablePhasor> = {}
      for (const name of senses.volts ?? []) {
        const link = linkOf(part, name)
        feel(network.links[link].a, network.links[link].b, name, volts, link)
      }
      for (const [from, to] of senses.between ?? [])
        feel(nodeAt(network, part, from), nodeAt(network, part, to), `${from}-${to}`, volts)
      for (const name of senses.amps ?? []) feel(earthNode + 1 + linkOf(part, name), earthNode, name, amps)
      for (const name of senses.direct ?? []) {
        const link = linkOf(part, name)
        directs.push({
          at: places.dc.push({ plus: network.links[link].a, minus: network.links[link].b, actor }) - 1,
          name,
          across: link,
        })
      }
      const movingIn = (setting: NamesPart): number => {
        const named = setting in part.kind.settings ? diagram.parts.get(settings.text(setting)) : undefined
        return named?.kind.moving ? linkOf(named, named.kind.moving) : -1
      }
      const followedLink = movingIn('follows')
      const compressorLink = movingIn('compressor')
      const own = new Map(
        part.kind
          .branches(settings, network.conditions)
          .map((branch) => [branch.name, linkOf(part, branch.name)]),
      )
      for (const link of own.values()) concerned[link].push(actor)
      for (const link of [followedLink, compressorLink]) if (link >= 0) concerned[link].push(actor)
      return {
        part,
        own,
        phasors,
        directs,
        followedLink,
        compressorLink,
        behave: part.kind.behave?.bind(part.kind),
        late: part.kind.late,
        now: {
          volts,
          amps,
          direct: {},
          is: {},
          followed: '',
          compressor: '',
          settings,
          call,
          conditions: network.conditions,
        },
      }
    })
  const column = (of: Analysis, name: 'plus' | 'minus' | 'actor'): Int32Array =>
    Int32Array.from(places[of], (place) => place[name])
  const sensesOf = (of: Analysis): Senses => ({ plus: column(of, 'plus'), minus: column(of, 'minus') })
  return {
    actors,
    steps,
    concerned,
    senses: { ac: sensesOf('ac'), dc: sensesOf('dc') },
    feeler: { ac: column('ac', 'actor'), dc: column('dc', 'actor') },
  }
}

function nodeAt(network: Network, part: Part, terminal: string): number {
  const node = network.nodes.get(`${part.id}.${terminal}`)
  if (node === undefined) throw new RangeError(`${part.id} has no terminal “${terminal}”`)
  return node
}

/** A state of rest, with the sizes between which nothing is felt to change. */
export function restOf(
  cast: Cast,
  states: readonly string[],
  usual: readonly string[],
  felt: Feelings,
  replaced: readonly number[],
): Rest {
  const from = new Float64Array(cast.steps.length)
  const below = new Float64Array(cast.steps.length)
  cast.steps.forEach((steps, s) => {
    const size = Math.hypot(felt.ac.re[s], felt.ac.im[s])
    from[s] = steps ? Math.max(0, ...steps.filter((step) => step <= size)) ** 2 : -1
    below[s] = steps ? Math.min(Infinity, ...steps.filter((step) => step > size)) ** 2 : -1
  })
  const moved: number[] = []
  states.forEach((state, link) => {
    if (state !== usual[link]) moved.push(link)
  })
  return { states, moved, replaced, felt, from, below }
}

/** What has become of a part’s own link: nothing, an open circuit, or a plain resistance. */
export type Break = 'none' | 'open' | 'ohms'

/**
 * Fills an actor's senses from what is felt. Volts across a winding or input of its own that is broken drive
 * nothing,
 * however many stand there: an open coil on full volts lets go, shorted turns do not pull.
 */
export function fill(
  actor: Actor,
  felt: Feelings,
  states: readonly string[],
  settings: Settings,
  breakOf: (link: number) => Break,
): void {
  const { now } = actor
  for (const { at, to, across } of actor.phasors) {
    const drives = across < 0 || breakOf(across) === 'none'
    to.re = drives ? felt.ac.re[at] : 0
    to.im = drives ? felt.ac.im[at] : 0
    to.size = Math.sqrt(to.re * to.re + to.im * to.im)
  }
  for (const { at, name, across } of actor.directs)
    now.direct[name] = breakOf(across) === 'open' ? 0 : felt.dc.re[at]
  for (const [branch, link] of actor.own) now.is[branch] = states[link]
  now.followed = actor.followedLink >= 0 ? states[actor.followedLink] : ''
  now.compressor = actor.compressorLink >= 0 ? states[actor.compressorLink] : ''
  now.settings = settings
}

/**
 * Marks in `stirred` the actors that have reason to act otherwise than in a state where they rest; `replaced`
 * are links with another law.
 */
export function stir(
  cast: Cast,
  felt: Feelings,
  directMoved: boolean,
  states: readonly string[],
  touched: Iterable<number>,
  replaced: Iterable<number>,
  rest: Rest,
  stirred: Uint8Array,
): void {
  const { feeler, concerned } = cast
  const { re, im } = felt.ac
  const { from, below } = rest
  const restRe = rest.felt.ac.re
  const restIm = rest.felt.ac.im
  for (let s = 0; s < from.length; s++) {
    if (from[s] < 0) {
      if (Math.abs(re[s] - restRe[s]) + Math.abs(im[s] - restIm[s]) > unfelt) stirred[feeler.ac[s]] = 1
    } else {
      const square = re[s] * re[s] + im[s] * im[s]
      if (square < from[s] || square >= below[s]) stirred[feeler.ac[s]] = 1
    }
  }
  if (directMoved) {
    const rested = rest.felt.dc.re
    for (let s = 0; s < rested.length; s++)
      if (Math.abs(felt.dc.re[s] - rested[s]) > unfelt) stirred[feeler.dc[s]] = 1
  }
  const look = (link: number): void => {
    if (states[link] !== rest.states[link]) for (const actor of concerned[link]) stirred[actor] = 1
  }
  for (const link of touched) look(link)
  for (const link of replaced) for (const actor of concerned[link]) stirred[actor] = 1
  for (const link of rest.replaced) for (const actor of concerned[link]) stirred[actor] = 1
  for (const link of rest.moved) look(link)
}
