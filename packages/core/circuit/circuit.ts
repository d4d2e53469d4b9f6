import type { Diagram, Part } from '../diagram/diagram'
import type { BranchId, Effect } from '../parts/effect'
import { codeWord } from '../parts/codeWord'
import { storedWord } from '../parts/storedCode'
import type { Conditions, Phase } from '../parts/kind'
import { castOf } from './actors'
import { buildNetwork, type Network } from './network'
import { effectsDuring } from './during'
import { hasOhms, resolveEffects, type Overrides, type Replacement } from './overrides'
import { Settling, type Settlement, type Wanted } from './settling'
import type { Variation } from './variation'

/** What a unit is asked to do, and under which facts. `standing` effects hold for everything solved here. */
export interface Situation {
  readonly call: string
  readonly conditions: Conditions
  readonly standing: readonly Effect[]
}

/** A solved state of the circuit: contacts settled, voltages and currents to be read. */
export interface Settled extends Settlement {
  readonly circuit: Circuit
}

/** A state that a unit may be met in besides the settled one: what is held in it, and how often it is met. */
export interface MetPhase {
  /** The part that stands otherwise in it. */
  readonly part: string
  readonly held: readonly Effect[]
  readonly weight: number
  readonly between: boolean
  readonly recurs: boolean
}

interface Solved {
  readonly ac: Variation
  readonly dc: Variation
}

/**
 * A unit in one situation, healthy but for what stands: factored once and settled. `vary` solves it with
 * faults or
 * actions on top, by low-rank updates of the nearest factorisation.
 */
export class Circuit {
  readonly network: Network
  readonly healthy: Settled
  private readonly standing: Overrides
  private readonly settling: Settling
  private tripsHeldHealthy: readonly Effect[] | null = null
  private readonly whole = new WeakMap<Settled, Variation>()

  constructor(
    readonly diagram: Diagram,
    readonly situation: Situation,
  ) {
    this.network = buildNetwork(diagram, situation.conditions, situation.standing)
    this.standing = resolveEffects(this.network, situation.standing, true)
    const settings = this.standing.settings
    this.settling = new Settling(
      this.network,
      castOf(diagram, this.network, situation.call, (part) => settings.get(part.id) ?? part.settings),
      this.standing,
    )
    this.healthy = { ...this.settling.healthy, circuit: this }
  }

  /** The circuit with further effects. Throws UnknownNameError. */
  vary(effects: readonly Effect[]): Settled {
    const there = effectsDuring(effects, this.situation.call)
    return there.length === 0
      ? this.healthy
      : { ...this.settling.settle(resolveEffects(this.network, there)), circuit: this }
  }

  /**
   * A settled state for direct current with every change in it, felt by what flows now or not: what ohms are
   * taken from.
   */
  wholeDirect(settled: Settled): Variation {
    const known = this.whole.get(settled) ?? this.settling.wholeDirect(settled)
    this.whole.set(settled, known)
    return known
  }

  /**
   * The circuit with further effects at their first instant: every contact still stands as in the healthy
   * state.
   */
  atFirst(effects: readonly Effect[]): Settled {
    const overrides = resolveEffects(this.network, effectsDuring(effects, this.situation.call))
    const states = this.healthy.states.map((state, link) => overrides.held.get(link) ?? state)
    const touched = new Set([...overrides.rows.keys(), ...overrides.held.keys()])
    return this.standingStill(states, overrides, touched)
  }

  /** The states that a circuit goes through which does not come to rest, each as if it stood still there. */
  cycle({ cycle, overrides, touched }: Settled): readonly Settled[] {
    return cycle.map((states) => this.standingStill(states, overrides, touched))
  }

  /** The same with some links held as they stand in such states. */
  holding({ overrides }: Settled, states: ReadonlyMap<number, string>): Settled {
    const held = new Map([...overrides.held, ...states])
    return { ...this.settling.settle({ ...overrides, held }), circuit: this }
  }

  private standingStill(
    states: readonly string[],
    overrides: Overrides,
    touched: ReadonlySet<number>,
  ): Settled {
    const solved = this.solveStates(states, overrides)
    const rest = { oscillates: false, cycle: [], rounds: 0 }
    return { ...solved, ...rest, states, overrides, touched, circuit: this }
  }

  /** The circuit with every link in a given state, whatever the parts would make of it. */
  solveStates(states: readonly string[], overrides: Overrides): Solved {
    return this.settling.solveStates(states, overrides)
  }

  /** What every part wants of its own links in such a state: link → state, only where it differs. */
  wantsIn(solution: Solved, states: readonly string[], overrides: Overrides): ReadonlyMap<number, Wanted> {
    return this.settling.wantsIn(solution, states, overrides)
  }

  /** Whether effects lie where a control runs through a sequence: they act on the way there already. */
  meetsSequence(effects: readonly Effect[]): boolean {
    return this.settling.meetsSequence(resolveEffects(this.network, effects))
  }

  /** The state of a branch in the healthy circuit. */
  stateOf(branch: BranchId): string | undefined {
    return this.healthy.states[this.network.linkNumbers.get(branch) ?? -1]
  }

  /** Rows that standing effects put in the place of a link's own, if any. */
  standingRows(link: number): Replacement | undefined {
    return this.standing.rows.get(link)
  }

  /** Entries of the factors, the work of one direct solve. */
  get factorEntries(): number {
    return this.settling.factorEntries
  }

  /**
   * States besides the settled one that the unit may be met in: what a part says of itself in it, with
   * every fuse, breaker and protector held where it was. Weights are what is left beside the settled state.
   */
  phases(settled: Settled): readonly MetPhase[] {
    const met: MetPhase[] = []
    const said = [...this.settling.feeling(settled, settled.states, settled.overrides)].flatMap(
      ({ part, now }) => (part.kind.phases?.(now) ?? []).map((phase) => ({ part, phase })),
    )
    for (const { part, phase } of said) {
      const { states, weight, between = false, recurs = false } = phase
      if (this.isMet(settled, part, phase))
        met.push({
          part: part.id,
          weight,
          between,
          recurs,
          held: this.heldIn(settled, part.id, states),
        })
    }
    return met
  }

  /** A part held in some states, with every fuse, breaker and other protector where it was. */
  private heldIn(settled: Settled, part: string, states: Phase['states']): readonly Effect[] {
    const own = Object.entries(states).map(([branch, state]): Effect => ({
      does: 'hold',
      branch: `${part}/${branch}`,
      state,
    }))
    return [...this.tripsHeld(settled), ...own]
  }

  /** Whether a part would stay in the states that a phase of it depends on. */
  private isMet(settled: Settled, { id }: Part, { onlyIf }: Phase): boolean {
    if (!onlyIf) return true
    // only a resistance that should not be there takes volts at a stand that it leaves a motor which runs
    if (!hasOhms(settled.overrides)) return false
    const { held: states } = resolveEffects(this.network, this.heldIn(settled, id, onlyIf.states))
    const held = this.holding(settled, states)
    for (const { part, now } of this.settling.feeling(held, held.states, held.overrides))
      if (part.id === id) return onlyIf.stays(now)
    return false
  }

  /**
   * Every fuse, breaker and protector, held as it stands in the healthy state: for a moment none has opened
   * yet.
   */
  tripsHeld(settled: Settled): readonly Effect[] {
    if (settled !== this.healthy) return this.tripsHeldUnder(settled)
    this.tripsHeldHealthy ??= this.tripsHeldUnder(settled)
    return this.tripsHeldHealthy
  }

  private tripsHeldUnder({ overrides }: Settled): readonly Effect[] {
    const { diagram, linkNumbers } = this.network
    return [...diagram.parts.values()].flatMap(({ id, kind, settings }) =>
      (kind.late?.opens(settings) ?? []).flatMap((name): readonly Effect[] => {
        const branch = `${id}/${name}`
        const link = linkNumbers.get(branch) ?? -1
        return overrides.held.has(link) ? [] : [{ does: 'hold', branch, state: this.healthy.states[link] }]
      }),
    )
  }

  /** What a look at each part tells in a settled state, by part. */
  looks(settled: Settled): ReadonlyMap<string, readonly string[]> {
    const seen = new Map<string, readonly string[]>()
    for (const { part, now } of this.settling.feeling(settled, settled.states, settled.overrides)) {
      const { looks, code, stores } = part.kind
      const stored = stores?.of(now) ?? null
      if (looks ?? code)
        seen.set(part.id, [
          ...(looks?.(now) ?? []),
          ...(code ? [codeWord(code(now))] : []),
          ...(stored === null ? [] : [storedWord(stored)]),
        ])
    }
    return seen
  }
}
