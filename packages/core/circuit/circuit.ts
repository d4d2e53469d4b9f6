import type { Diagram, Part } from '../diagram/diagram'
import type { Effect } from '../diagram/effect'
import type { Conditions, Now, Phasor } from '../parts/kind'
import { Factored } from './factored'
import { buildNetwork, type Analysis, type Network, type Row } from './network'
import { resolveEffects, type Overrides } from './overrides'
import { Variation, type Change } from './variation'

/** What a unit is asked to do, and under which facts. `standing` effects hold for everything solved here. */
export interface Situation {
  readonly call: string
  readonly conditions: Conditions
  readonly standing: readonly Effect[]
}

/** A solved state of the circuit: contacts settled, voltages and currents to be read. */
export interface Settled {
  readonly circuit: Circuit
  readonly ac: Variation
  readonly dc: Variation
  /** State of every link, by link number. */
  readonly states: readonly string[]
  /** The states never come to rest: they repeat. */
  readonly oscillates: boolean
  /** Rounds of solving until nothing changed. */
  readonly rounds: number
  readonly overrides: Overrides
  /** Links whose state or law may differ from the base. */
  readonly touched: ReadonlySet<number>
}

/** Rounds after which states that still change are called repeating. */
const maximumRounds = 24

interface MutablePhasor extends Phasor { re: number; im: number; size: number }

/** Rounds that motors take to come up: fuses do not act on them; a state that goes on changing longer meets its fuse. */
const startingRounds = 8

/** A part that acts, with the things it feels laid out for refilling. */
interface Actor {
  readonly part: Part
  readonly now: {
    volts: Record<string, MutablePhasor>
    amps: Record<string, MutablePhasor>
    direct: Record<string, number>
    is: Record<string, string>
    followed: string
    settings: Now['settings']
    readonly call: string
    readonly conditions: Conditions
  }
  readonly voltSenses: readonly { readonly link: number; readonly to: MutablePhasor }[]
  readonly ampSenses: readonly { readonly link: number; readonly to: MutablePhasor }[]
  readonly directSenses: readonly { readonly link: number; readonly name: string }[]
  readonly own: ReadonlyMap<string, number>
  readonly followedLink: number
}

/**
 * A unit in one situation, healthy but for what stands: factored once and settled. `vary` solves it with faults or
 * actions on top, by low-rank updates of that one factorisation.
 */
export class Circuit {
  readonly network: Network
  readonly healthy: Settled
  private readonly standing: Overrides
  private readonly actors: readonly Actor[]
  private ac: Factored
  private dc: Factored
  private states: readonly string[]
  private readonly scratch = new Float64Array(2)
  private readonly whole = new WeakMap<Settled, Variation>()

  constructor(readonly diagram: Diagram, readonly situation: Situation) {
    this.network = buildNetwork(diagram, situation.conditions, situation.standing)
    this.standing = resolveEffects(this.network, situation.standing, true)
    this.actors = this.makeActors()
    this.states = this.network.links.map((link, number) => this.standing.held.get(number) ?? link.rest)
    this.ac = this.factor('ac')
    this.dc = this.factor('dc')
    const none: Overrides = { rows: new Map(), held: new Map(), settings: new Map(), joins: [] }
    const first = this.settle(none)
    this.states = first.states
    this.ac = this.factor('ac')
    this.dc = this.factor('dc')
    this.healthy = { ...first, circuit: this, ac: new Variation(this.ac, []), dc: new Variation(this.dc, []) }
  }

  /** The circuit with further effects. Throws UnknownNameError. */
  vary(effects: readonly Effect[]): Settled {
    return effects.length === 0 ? this.healthy : this.settle(resolveEffects(this.network, effects))
  }

  /** A settled state for direct current with every change in it, felt by what flows now or not: what ohms are taken from. */
  wholeDirect(settled: Settled): Variation {
    const known = this.whole.get(settled)
    if (known) return known
    const changes = this.changesFor('dc', settled.states, settled.touched, settled.overrides)
    const whole = changes.length === settled.dc.changes.length ? settled.dc : new Variation(this.dc, changes)
    this.whole.set(settled, whole)
    return whole
  }

  /** Rows that standing effects put in the place of a link's own, if any. */
  standingRows(link: number): Readonly<Record<Analysis, Row>> | undefined {
    return this.standing.rows.get(link)
  }

  /** Entries of the factors, the work of one direct solve. */
  get factorEntries(): number {
    return this.ac.entries
  }

  /** What a look at a part tells in a settled state. */
  looks(settled: Settled, partId: string): readonly string[] {
    const actor = this.actors.find((candidate) => candidate.part.id === partId)
    if (!actor?.part.kind.looks) return []
    this.fill(actor, settled.ac, settled.dc, settled.states, settled.overrides)
    return actor.part.kind.looks(actor.now)
  }

  private rowOf(link: number, state: string, analysis: Analysis): Row {
    const standing = this.standing.rows.get(link)
    return standing ? standing[analysis] : this.network.links[link].states[state][analysis]
  }

  private factor(analysis: Analysis): Factored {
    return new Factored(this.network, analysis, this.network.links.map((_, link) => this.rowOf(link, this.states[link], analysis)))
  }

  private settle(overrides: Overrides): Settled {
    const states = [...this.states]
    const touched = new Set<number>(overrides.rows.keys())
    for (const [link, state] of overrides.held) {
      states[link] = state
      touched.add(link)
    }
    const seen = new Set<string>()
    for (let round = 1; ; round++) {
      const ac = this.variation('ac', states, touched, overrides)
      const dc = this.variation('dc', states, touched, overrides)
      const before = [...states]
      const quick = this.act(false, ac, dc, states, touched, overrides)
      const slow = (!quick || round > startingRounds) && this.act(true, ac, dc, states, touched, overrides)
      if (!quick && !slow) return { circuit: this, ac, dc, states, oscillates: false, rounds: round, overrides, touched }
      const signature = round > startingRounds + 2 ? [...touched].map((link) => `${link}${states[link]}`).join() : ''
      if (round >= maximumRounds || (signature !== '' && seen.has(signature)))
        return { circuit: this, ac, dc, states: before, oscillates: true, rounds: round, overrides, touched }
      if (signature !== '') seen.add(signature)
    }
  }

  private variation(
    analysis: Analysis, states: readonly string[], touched: ReadonlySet<number>, overrides: Overrides,
  ): Variation {
    const changes = this.changesFor(analysis, states, touched, overrides)
    return analysis === 'ac' ? new Variation(this.ac, changes) : new Variation(this.dc, this.movesDirect(changes) ? changes : [])
  }

  private changesFor(analysis: Analysis, states: readonly string[], touched: ReadonlySet<number>, overrides: Overrides): readonly Change[] {
    const base = analysis === 'ac' ? this.ac : this.dc
    const changes: Change[] = []
    for (const link of touched) {
      const replaced = overrides.rows.get(link)
      const row = replaced ? replaced[analysis] : this.rowOf(link, states[link], analysis)
      if (row === base.rows[link]) continue
      const { a, b } = this.network.links[link]
      changes.push({ link, a, b, row })
    }
    for (const join of overrides.joins) changes.push({ link: -1, a: join.a, b: join.b, row: join.rows[analysis] })
    return changes
  }

  /** Whether any of the changes can be felt by direct current: one of them lies where direct volts are, or makes some. */
  private movesDirect(changes: readonly Change[]): boolean {
    const { re } = this.dc.solution
    return changes.some(({ a, b, row }) => Math.abs(re[a]) > 1e-9 || Math.abs(re[b]) > 1e-9 || (row !== null && row.emfRe !== 0))
  }

  /** Lets the quick or the slow parts act on what they feel; says whether anything changed. */
  private act(slow: boolean, ac: Variation, dc: Variation, states: string[], touched: Set<number>, overrides: Overrides): boolean {
    let changed = false
    for (const actor of this.actors) {
      const { behave } = actor.part.kind
      if (!behave || (actor.part.kind.slow === true) !== slow) continue
      this.fill(actor, ac, dc, states, overrides)
      const wants = behave(actor.now)
      for (const branch in wants) {
        const link = actor.own.get(branch)
        if (link === undefined) throw new RangeError(`${actor.part.id} has no branch “${branch}”`)
        if (states[link] === wants[branch] || overrides.held.has(link) || this.standing.held.has(link)) continue
        states[link] = wants[branch]
        touched.add(link)
        changed = true
      }
    }
    return changed
  }

  private fill(actor: Actor, ac: Variation, dc: Variation, states: readonly string[], overrides: Overrides): void {
    const { scratch } = this
    const { now } = actor
    for (const { link, to } of actor.voltSenses) {
      const { a, b } = this.network.links[link]
      ac.volts(a, b, scratch)
      take(scratch, to)
    }
    for (const { link, to } of actor.ampSenses) {
      ac.amps(link, scratch)
      take(scratch, to)
    }
    for (const { link, name } of actor.directSenses) {
      const { a, b } = this.network.links[link]
      dc.volts(a, b, scratch)
      now.direct[name] = scratch[0]
    }
    for (const [branch, link] of actor.own) now.is[branch] = states[link]
    now.followed = actor.followedLink >= 0 ? states[actor.followedLink] : ''
    now.settings = overrides.settings.get(actor.part.id) ?? this.standing.settings.get(actor.part.id) ?? actor.part.settings
  }

  private makeActors(): readonly Actor[] {
    const { network } = this
    const linkOf = (part: Part, branch: string): number => {
      const number = network.linkNumbers.get(`${part.id}/${branch}`)
      if (number === undefined) throw new RangeError(`${part.id} has no branch “${branch}”`)
      return number
    }
    return [...this.diagram.parts.values()].filter((part) => part.kind.behave ?? part.kind.looks).map((part): Actor => {
      const senses = part.kind.senses?.(part.settings) ?? {}
      const phasors = (names: readonly string[] = []): Record<string, MutablePhasor> =>
        Object.fromEntries(names.map((name) => [name, { re: 0, im: 0, size: 0 }]))
      const volts = phasors(senses.volts)
      const amps = phasors(senses.amps)
      const follows = part.kind.settings.follows === undefined ? undefined : this.diagram.parts.get(part.settings.text('follows'))
      return {
        part,
        now: {
          volts, amps, direct: {}, is: {}, followed: '', settings: part.settings,
          call: this.situation.call, conditions: this.situation.conditions,
        },
        voltSenses: (senses.volts ?? []).map((name) => ({ link: linkOf(part, name), to: volts[name] })),
        ampSenses: (senses.amps ?? []).map((name) => ({ link: linkOf(part, name), to: amps[name] })),
        directSenses: (senses.direct ?? []).map((name) => ({ link: linkOf(part, name), name })),
        own: new Map(part.kind.branches(part.settings, this.situation.conditions).map((branch) => [branch.name, linkOf(part, branch.name)])),
        followedLink: follows?.kind.moving ? linkOf(follows, follows.kind.moving) : -1,
      }
    })
  }
}

function take(from: Float64Array, to: MutablePhasor): void {
  to.re = from[0]
  to.im = from[1]
  to.size = Math.sqrt(from[0] * from[0] + from[1] * from[1])
}
