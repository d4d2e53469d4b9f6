import type { Diagram, Part } from '../diagram/diagram'
import type { Effect } from '../diagram/effect'
import type { Conditions, Now, Phasor } from '../parts/kind'
import { Factored, type Felt, type Sense } from './factored'
import { buildNetwork, type Analysis, type Network, type Row } from './network'
import { replacedRow, resolveEffects, type Overrides, type Replacement } from './overrides'
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

/** Volts or amps below which a change of what a part feels is none. */
const unfelt = 1e-9

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
  /** Places in what is felt, and where they go. */
  readonly phasors: readonly { readonly at: number; readonly to: MutablePhasor }[]
  readonly directs: readonly { readonly at: number; readonly name: string }[]
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
  private readonly senses: Readonly<Record<Analysis, Sense[]>> = { ac: [], dc: [] }
  private readonly felt: Readonly<Record<Analysis, Felt>>
  /** The healthy state has been found: from then on a part that feels nothing new is left alone. */
  private rested = false
  private readonly whole = new WeakMap<Settled, Variation>()

  constructor(readonly diagram: Diagram, readonly situation: Situation) {
    this.network = buildNetwork(diagram, situation.conditions, situation.standing)
    this.standing = resolveEffects(this.network, situation.standing, true)
    this.actors = this.makeActors()
    const room = (analysis: Analysis): Felt => ({ re: new Float64Array(this.senses[analysis].length), im: new Float64Array(this.senses[analysis].length) })
    this.felt = { ac: room('ac'), dc: room('dc') }
    this.states = this.network.links.map((link, number) => this.standing.held.get(number) ?? link.rest)
    this.ac = this.factor('ac')
    this.dc = this.factor('dc')
    const none: Overrides = { rows: new Map(), held: new Map(), settings: new Map(), joins: [] }
    const first = this.settle(none)
    this.states = first.states
    this.ac = this.factor('ac')
    this.dc = this.factor('dc')
    this.rested = !first.oscillates
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

  /** The circuit with every link in a given state, whatever the parts would make of it. */
  solveStates(states: readonly string[], overrides: Overrides): { readonly ac: Variation; readonly dc: Variation } {
    const touched = new Set<number>(overrides.rows.keys())
    states.forEach((state, link) => {
      if (state !== this.states[link]) touched.add(link)
    })
    return { ac: this.variation('ac', states, touched, overrides), dc: this.variation('dc', states, touched, overrides) }
  }

  /** What every part wants of its own links in such a state: link → state, only where it differs. */
  wantsIn(solution: { readonly ac: Variation; readonly dc: Variation }, states: readonly string[], overrides: Overrides): ReadonlyMap<number, string> {
    this.feel(solution.ac, solution.dc)
    const wanted = new Map<number, string>()
    for (const actor of this.actors) {
      const { behave } = actor.part.kind
      if (!behave) continue
      this.fill(actor, states, overrides)
      const wants = behave(actor.now)
      for (const [branch, link] of actor.own)
        if (branch in wants && wants[branch] !== states[link] && !overrides.held.has(link) && !this.standing.held.has(link)) wanted.set(link, wants[branch])
    }
    return wanted
  }

  /** Rows that standing effects put in the place of a link's own, if any. */
  standingRows(link: number): Replacement | undefined {
    return this.standing.rows.get(link)
  }

  /** Entries of the factors, the work of one direct solve. */
  get factorEntries(): number {
    return this.ac.entries
  }

  /** What a look at each part tells in a settled state, by part. */
  looks(settled: Settled): ReadonlyMap<string, readonly string[]> {
    this.feel(settled.ac, settled.dc)
    const seen = new Map<string, readonly string[]>()
    for (const actor of this.actors) {
      const { looks } = actor.part.kind
      if (!looks) continue
      this.fill(actor, settled.states, settled.overrides)
      seen.set(actor.part.id, looks(actor.now))
    }
    return seen
  }

  private rowOf(link: number, state: string, analysis: Analysis): Row {
    const own = this.network.links[link].states[state]
    const standing = this.standing.rows.get(link)
    return standing ? replacedRow(standing, own, analysis) : own[analysis]
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
      this.feel(ac, dc)
      const before = round >= startingRounds ? [...states] : states
      const quick = this.act(false, states, touched, overrides)
      const slow = (!quick || round > startingRounds) && this.act(true, states, touched, overrides)
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
      const row = replaced ? replacedRow(replaced, this.network.links[link].states[states[link]], analysis) : this.rowOf(link, states[link], analysis)
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
  private act(slow: boolean, states: string[], touched: Set<number>, overrides: Overrides): boolean {
    let changed = false
    for (const actor of this.actors) {
      const { behave } = actor.part.kind
      if (!behave || (actor.part.kind.slow === true) !== slow) continue
      if (!this.stirred(actor, states, overrides)) continue
      this.fill(actor, states, overrides)
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

  /** Takes in what all parts feel of a solution. */
  private feel(ac: Variation, dc: Variation): void {
    ac.feel(this.senses.ac, this.felt.ac)
    dc.feel(this.senses.dc, this.felt.dc)
  }

  /** Whether an actor has reason to act otherwise than in the healthy state, where it rests. */
  private stirred(actor: Actor, states: readonly string[], overrides: Overrides): boolean {
    if (!this.rested || overrides.settings.has(actor.part.id)) return true
    if (actor.followedLink >= 0 && states[actor.followedLink] !== this.states[actor.followedLink]) return true
    for (const link of actor.own.values()) if (states[link] !== this.states[link]) return true
    const { ac, dc } = this.felt
    const baseAc = this.ac.felt(this.ac.solution, this.senses.ac)
    for (const { at } of actor.phasors)
      if (Math.abs(ac.re[at] - baseAc.re[at]) + Math.abs(ac.im[at] - baseAc.im[at]) > unfelt) return true
    const baseDc = this.dc.felt(this.dc.solution, this.senses.dc)
    for (const { at } of actor.directs) if (Math.abs(dc.re[at] - baseDc.re[at]) > unfelt) return true
    return false
  }

  private fill(actor: Actor, states: readonly string[], overrides: Overrides): void {
    const { now } = actor
    const { ac, dc } = this.felt
    for (const { at, to } of actor.phasors) {
      to.re = ac.re[at]
      to.im = ac.im[at]
      to.size = Math.sqrt(to.re * to.re + to.im * to.im)
    }
    for (const { at, name } of actor.directs) now.direct[name] = dc.re[at]
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
        phasors: [
          ...(senses.volts ?? []).map((name) => ({ at: this.senses.ac.push({ link: linkOf(part, name), of: 'volts' }) - 1, to: volts[name] })),
          ...(senses.amps ?? []).map((name) => ({ at: this.senses.ac.push({ link: linkOf(part, name), of: 'amps' }) - 1, to: amps[name] })),
        ],
        directs: (senses.direct ?? []).map((name) => ({ at: this.senses.dc.push({ link: linkOf(part, name), of: 'volts' }) - 1, name })),
        own: new Map(part.kind.branches(part.settings, this.situation.conditions).map((branch) => [branch.name, linkOf(part, branch.name)])),
        followedLink: follows?.kind.moving ? linkOf(follows, follows.kind.moving) : -1,
      }
    })
  }
}
