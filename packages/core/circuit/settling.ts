import type { Wants } from '../parts/kind'
import type { Settings } from '../parts/settings'
import { fill, stir, type Actor, type Break, type Cast, type Feelings } from './actors'
import {
  baseOf,
  farFrom,
  groundOf,
  mostBases,
  noteFarState,
  type Base,
  type FarState,
  type Ground,
} from './base'
import { DirectSide } from './directSide'
import { Factored } from './factored'
import type { Analysis, Network } from './network'
import { hasOhms, noOverrides, type Overrides } from './overrides'
import { Rows } from './rows'
import { meetsSequence, sequenceOf, type Sequence } from './sequence'
import { Variation, type Change } from './variation'

/** States and what is solved in them, once contacts have come to rest or been found not to. */
export interface Settlement {
  readonly ac: Variation
  readonly dc: Variation
  /** State of every link, by link number. */
  readonly states: readonly string[]
  /** The states never come to rest: they repeat. */
  readonly oscillates: boolean
  /** The states that it then goes through, in turn; none where it rests. */
  readonly cycle: readonly (readonly string[])[]
  /** Rounds of solving until nothing changed. */
  readonly rounds: number
  readonly overrides: Overrides
  /** Links whose state or law may differ from the base. */
  readonly touched: ReadonlySet<number>
}

/** Rounds after which states that still change are called repeating. */
const maximumRounds = 24
/**
 * Rounds that motors take to come up: fuses do not act on them; a state that goes on changing longer meets
 * its fuse.
 */
const startingRounds = 8
/**
 * Changed rows from which a fresh factorisation costs less than a low-rank update, while there is no base
 * yet.
 */
const refactorFrom = 24

const noChanges: readonly Change[] = []

/** A state that a part wants of one of its links. */
export interface Wanted {
  readonly state: string
  /** Seconds after which it is taken when all else is at rest; 0: at once. */
  readonly after: number
}

/** What an actor would do late, and when. */
interface Move {
  readonly actor: Actor
  readonly wants: Wants
  readonly after: number
}

/** Finds the states that a circuit takes: solve, let each part act on what it feels, solve again. */
export class Settling {
  private readonly rows: Rows
  private readonly felt: Feelings
  private readonly stirred: Uint8Array
  /**
   * The healthy state first; states that many faults end in behind it. Empty until the healthy state has been
   * found.
   */
  private readonly bases: Base[] = []
  private readonly farStates: FarState[] = []
  private readonly trial: Variation
  private readonly trialDirect: Variation
  private readonly direct: DirectSide
  private readonly sequence: Sequence
  private ac: Ground
  private states: readonly string[]
  readonly healthy: Settlement

  constructor(
    private readonly network: Network,
    private readonly cast: Cast,
    private readonly standing: Overrides,
  ) {
    this.rows = new Rows(network, standing)
    const room = (analysis: Analysis) => ({
      re: new Float64Array(cast.senses[analysis].plus.length),
      im: new Float64Array(cast.senses[analysis].plus.length),
    })
    this.felt = { ac: room('ac'), dc: room('dc') }
    this.stirred = new Uint8Array(cast.actors.length)
    this.states = network.links.map((link, number) => standing.held.get(number) ?? link.rest)
    this.ac = this.ground(this.states)
    this.direct = new DirectSide(network, this.rows, this.states)
    this.sequence = sequenceOf(network, cast)
    this.trial = new Variation(this.ac.factored, noChanges)
    this.trialDirect = this.direct.variation(noChanges)
    const first = this.settle(noOverrides)
    this.states = first.states
    if (first.ac.changes.length > 0 || first.ac.base !== this.ac.factored) this.ac = this.ground(this.states)
    const dc = this.direct.restIn(this.states, first.touched)
    this.healthy = { ...first, ac: new Variation(this.ac.factored, noChanges), dc, touched: new Set() }
    if (first.oscillates) return
    dc.feel(cast.senses.dc, this.felt.dc)
    this.bases.push(
      baseOf(
        this.ac,
        cast,
        { re: this.felt.dc.re.slice(), im: this.felt.dc.im.slice() },
        this.states,
        this.states,
      ),
    )
  }

  /** Entries of the factors, the work of one direct solve. */
  get factorEntries(): number {
    return this.ac.factored.entries
  }

  settle(overrides: Overrides): Settlement {
    const { states, touched } = this.beginning(overrides)
    const seen = new Map<string, number>()
    const passed: (readonly string[])[] = []
    let base: Base | undefined = this.bases[0]
    let ground: Ground = base ?? this.ac
    let hasBegunAnew = !hasOhms(overrides)
    for (let round = 1; ; round++) {
      let changes: readonly Change[] = this.rows.changes(ground, 'ac', states, touched, overrides)
      if (base && changes.length > farFrom) {
        const nearer = this.nearest(states, touched, overrides, changes)
        ground = base = nearer.base
        changes = nearer.changes
      } else if (!base && changes.length > refactorFrom && overrides === noOverrides) {
        ground = this.ground(states)
        changes = noChanges
      }
      const direct = this.direct.changes(states, touched, overrides)
      this.trial.restart(ground.factored, changes)
      this.direct.restart(this.trialDirect, direct)
      const before = round >= startingRounds ? states.slice() : states
      if (
        !this.act(base, !this.direct.isHealthy(direct), round > startingRounds, states, touched, overrides)
      ) {
        if (!hasBegunAnew) {
          hasBegunAnew = true
          if (this.beginAnew(states, touched, overrides)) continue
        }
        if (
          base &&
          changes.length > farFrom &&
          this.bases.length < mostBases &&
          noteFarState(this.farStates, states, touched)
        )
          this.addBase(states, overrides)
        return this.settlement(ground, changes, direct, states, [], round, overrides, touched)
      }
      const signature =
        round > startingRounds + 2 ? [...touched].map((link) => `${link}${states[link]}`).join() : ''
      const cycleFrom = seen.get(signature)
      if (round >= maximumRounds || cycleFrom !== undefined)
        return this.settlement(
          ground,
          changes,
          direct,
          before,
          passed.slice(cycleFrom),
          round,
          overrides,
          touched,
        )
      if (signature === '') continue
      seen.set(signature, passed.length)
      passed.push(states.slice())
    }
  }

  /**
   * A settled state for direct current with every change in it, felt by what flows now or not: what ohms are
   * taken from.
   */
  wholeDirect({ states, touched, overrides }: Settlement): Variation {
    return this.direct.whole(states, touched, overrides)
  }

  /** The circuit with every link in a given state, whatever the parts would make of it. */
  solveStates(
    states: readonly string[],
    overrides: Overrides,
  ): { readonly ac: Variation; readonly dc: Variation } {
    const touched = new Set<number>(overrides.rows.keys())
    states.forEach((state, link) => {
      if (state !== this.states[link]) touched.add(link)
    })
    return {
      ac: new Variation(this.ac.factored, this.rows.changes(this.ac, 'ac', states, touched, overrides)),
      dc: this.direct.variation(this.direct.changes(states, touched, overrides)),
    }
  }

  /** What every part wants of its own links in such a state, by link, only where it differs. */
  wantsIn(
    solution: { readonly ac: Variation; readonly dc: Variation },
    states: readonly string[],
    overrides: Overrides,
  ): ReadonlyMap<number, Wanted> {
    const wanted = new Map<number, Wanted>()
    for (const actor of this.feeling(solution, states, overrides)) {
      const { behave, late, now, own } = actor
      const note = (wants: Wants, after: () => number): void => {
        for (const [branch, link] of own)
          if (branch in wants && wants[branch] !== states[link] && !this.isHeld(link, overrides))
            wanted.set(link, { state: wants[branch], after: after() })
      }
      if (late) note(late.wants(now), () => late.actsAfter(now))
      // what is done at once goes before
      if (behave) note(behave(now), () => 0)
    }
    return wanted
  }

  /** Every actor in turn, its senses filled. */
  *feeling(
    solution: { readonly ac: Variation; readonly dc: Variation },
    states: readonly string[],
    overrides: Overrides,
  ): Generator<Actor> {
    solution.ac.feel(this.cast.senses.ac, this.felt.ac)
    solution.dc.feel(this.cast.senses.dc, this.felt.dc)
    const breakOf = this.breaksUnder(overrides)
    for (const actor of this.cast.actors) {
      fill(actor, this.felt, states, this.settingsOf(actor, overrides), breakOf)
      yield actor
    }
  }

  /**
   * Where settling begins: the healthy state with what is held; the controls of a sequence that something
   * differs in where they stand before a call.
   */
  private beginning(overrides: Overrides): { readonly states: string[]; readonly touched: Set<number> } {
    const states = this.states.slice()
    const touched = new Set<number>(overrides.rows.keys())
    for (const [link, state] of overrides.held) {
      states[link] = state
      touched.add(link)
    }
    if (this.meetsSequence(overrides))
      for (const actor of this.cast.actors)
        this.take(actor, actor.part.kind.startsFrom ?? {}, states, touched, overrides)
    return { states, touched }
  }

  /** Whether something that differs lies where a control runs through a sequence. */
  meetsSequence(overrides: Overrides): boolean {
    return meetsSequence(this.sequence, overrides)
  }

  private ground(states: readonly string[]): Ground {
    return {
      factored: new Factored(this.network, 'ac', this.rows.all(states, noOverrides, 'ac')),
      differs: [],
    }
  }

  private settlement(
    { factored }: Ground,
    changes: readonly Change[],
    direct: readonly Change[],
    states: readonly string[],
    cycle: Settlement['cycle'],
    rounds: number,
    overrides: Overrides,
    touched: ReadonlySet<number>,
  ): Settlement {
    return {
      ac: new Variation(factored, changes),
      dc: this.direct.variation(direct),
      states,
      oscillates: cycle.length > 0,
      cycle,
      rounds,
      overrides,
      touched,
    }
  }

  /** The base from which the fewest rows change, and those changes; none that is no firm ground for them. */
  private nearest(
    states: readonly string[],
    touched: ReadonlySet<number>,
    overrides: Overrides,
    known: readonly Change[],
  ): { readonly base: Base; readonly changes: readonly Change[] } {
    let [base] = this.bases
    let changes: readonly Change[] =
      this.bases.length === 1 ? known : this.rows.changes(base, 'ac', states, touched, overrides)
    for (let k = 1; k < this.bases.length; k++) {
      const other = this.rows.changes(this.bases[k], 'ac', states, touched, overrides)
      if (other.length >= changes.length || this.endsFloating(this.bases[k], other)) continue
      base = this.bases[k]
      changes = other
    }
    return { base, changes }
  }

  /**
   * Whether changes join again what only the base has apart, a side of it hanging free: a unit that floats
   * behind its open breaker is no firm ground for one that runs.
   */
  private endsFloating({ factored: { rows }, islands }: Base, changes: readonly Change[]): boolean {
    const { links } = this.network
    const healthy = this.bases[0].factored.rows
    return changes.some(
      ({ link, row }) =>
        link >= 0 &&
        row !== null &&
        rows[link] === null &&
        healthy[link] !== null &&
        islands[links[link].a] !== islands[links[link].b],
    )
  }

  /**
   * Makes a base of an end without what made it, if its parts would still rest: a blown fuse stays blown, a
   * cut wire stays cut.
   */
  private addBase(states: readonly string[], overrides: Overrides): void {
    const lasting: Overrides = {
      ...noOverrides,
      rows: overrides.joins.length > 0 ? new Map() : overrides.rows,
    }
    const ground = groundOf(this.network, 'ac', this.rows.all(states, lasting, 'ac'), this.ac.factored.rows)
    const wants = this.wantsIn(
      { ac: new Variation(ground.factored, noChanges), dc: this.healthy.dc },
      states,
      lasting,
    )
    if (wants.size === 0)
      this.bases.push(
        baseOf(ground, this.cast, this.bases[0].rest.felt.dc, states.slice(), this.states, [
          ...lasting.rows.keys(),
        ]),
      )
  }

  /**
   * Lets the parts act on what the trial makes them feel: late when all that acts at once rests, or never
   * does.
   */
  private act(
    base: Base | undefined,
    directMoved: boolean,
    hurried: boolean,
    states: string[],
    touched: Set<number>,
    overrides: Overrides,
  ): boolean {
    const { cast, stirred, felt } = this
    this.trial.feel(cast.senses.ac, felt.ac)
    if (directMoved || !base) this.trialDirect.feel(cast.senses.dc, felt.dc)
    else felt.dc.re.set(base.rest.felt.dc.re)
    if (base) {
      stirred.fill(0)
      stir(cast, felt, directMoved, states, touched, overrides.rows.keys(), base.rest, stirred)
      if (overrides.settings.size > 0)
        cast.actors.forEach(({ part }, actor) => {
          if (overrides.settings.has(part.id)) stirred[actor] = 1
        })
    } else stirred.fill(1)
    const atOnce = this.actAtOnce(states, touched, overrides)
    const late = (!atOnce || hurried) && this.actLate(states, touched, overrides)
    return atOnce || late
  }

  /**
   * Lets go of what stands so only because it stood so in the healthy state: volts that hold an armature may
   * not bring it in.
   */
  private beginAnew(states: string[], touched: Set<number>, overrides: Overrides): boolean {
    const breakOf = this.breaksUnder(overrides)
    let changed = false
    for (const actor of this.cast.actors) {
      const { fromRest } = actor.part.kind
      if (!fromRest) continue
      fill(actor, this.felt, states, this.settingsOf(actor, overrides), breakOf)
      changed = this.take(actor, fromRest(actor.now), states, touched, overrides) || changed
    }
    return changed
  }

  private actAtOnce(states: string[], touched: Set<number>, overrides: Overrides): boolean {
    let changed = false
    for (const actor of this.feelingAnew('behave', states, overrides)) {
      const wants = actor.behave?.(actor.now) ?? {}
      changed = this.take(actor, wants, states, touched, overrides) || changed
    }
    return changed
  }

  /** The soonest acts; the rest feel what is left. */
  private actLate(states: string[], touched: Set<number>, overrides: Overrides): boolean {
    let soonest: Move | null = null
    for (const actor of this.feelingAnew('late', states, overrides)) {
      if (!actor.late) continue
      const wants = actor.late.wants(actor.now)
      if (!this.moves(actor, wants, states, overrides)) continue
      const after = actor.late.actsAfter(actor.now)
      if (soonest === null || after < soonest.after) soonest = { actor, wants, after }
    }
    return soonest !== null && this.take(soonest.actor, soonest.wants, states, touched, overrides)
  }

  /** Those that may act so and feel anything new, in turn, their senses filled. */
  private *feelingAnew(
    how: 'behave' | 'late',
    states: readonly string[],
    overrides: Overrides,
  ): Generator<Actor> {
    const breakOf = this.breaksUnder(overrides)
    for (let k = 0; k < this.cast.actors.length; k++) {
      const actor = this.cast.actors[k]
      if (this.stirred[k] === 0 || actor[how] === undefined) continue
      fill(actor, this.felt, states, this.settingsOf(actor, overrides), breakOf)
      yield actor
    }
  }

  /** Whether an actor would change any of its links. */
  private moves(actor: Actor, wants: Wants, states: readonly string[], overrides: Overrides): boolean {
    return Object.entries(wants).some(([branch, state]) => {
      const link = this.linkOf(actor, branch)
      return states[link] !== state && !this.isHeld(link, overrides)
    })
  }

  /** Puts the links of an actor into the states that it wants; says whether any changed. */
  private take(
    actor: Actor,
    wants: Wants,
    states: string[],
    touched: Set<number>,
    overrides: Overrides,
  ): boolean {
    let changed = false
    for (const branch in wants) {
      const link = this.linkOf(actor, branch)
      if (states[link] === wants[branch] || this.isHeld(link, overrides)) continue
      states[link] = wants[branch]
      touched.add(link)
      changed = true
    }
    return changed
  }

  private linkOf({ own, part }: Actor, branch: string): number {
    const link = own.get(branch)
    if (link === undefined) throw new RangeError(`${part.id} has no branch “${branch}”`)
    return link
  }

  private breaksUnder(overrides: Overrides): (link: number) => Break {
    const { standing } = this
    return (link) => {
      const replaced = overrides.rows.get(link) ?? standing.rows.get(link)
      return replaced === undefined ? 'none' : replaced.ac === null ? 'open' : 'ohms'
    }
  }

  private isHeld(link: number, overrides: Overrides): boolean {
    return overrides.held.has(link) || this.standing.held.has(link)
  }

  private settingsOf({ part }: Actor, overrides: Overrides): Settings {
    return overrides.settings.get(part.id) ?? this.standing.settings.get(part.id) ?? part.settings
  }
}
