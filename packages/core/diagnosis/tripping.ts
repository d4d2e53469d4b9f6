import type { Circuit, Settled } from '../circuit/circuit'
import { clampAmps, joinDraws } from '../circuit/meter'
import type { Part } from '../diagram/diagram'
import type { Effect } from '../parts/effect'
import { openingSeconds } from '../physics/fuseTimes'

/** What draws less through a short opens no fuse or breaker; the smallest are for an ampere and more. */
const opensNothingAmps = 0.05
/** What opens sooner does so by magnet, or with a flash. */
const atOnceSeconds = 0.15
/** What the poles of a fuse or breaker, and its handle, are called once it has opened. */
const openedStates = ['open', 'tripped'] as const

/** A fuse or breaker that has opened, and the states that it then holds. */
export interface Trip {
  readonly part: string
  readonly held: readonly Effect[]
  /** Seconds that the overload lasts before it opens; worked out when asked for. */
  readonly seconds: () => number
}

/** A fuse or breaker, with its branches. */
interface TrippingPart {
  readonly part: Part
  readonly links: readonly { readonly name: string; readonly link: number }[]
}

/** A unit's hypotheses in one situation, as far as they may open something; by number. */
interface Situated {
  readonly circuit: Circuit
  readonly settle: (hypothesis: number) => Settled
  readonly effects: (hypothesis: number) => readonly Effect[]
  /** Nothing is done on top for a moment. */
  readonly isAsItStands: boolean
  readonly of: (hypothesis: number) => readonly string[]
  readonly cycle: (settled: Settled) => readonly Settled[]
}

/** Which fuses and breakers hypotheses open in a situation; found when first asked for, and kept. */
export class Tripping {
  private readonly knownTrips: (readonly Trip[] | undefined)[] = []
  /** By the other fuse or breaker. */
  private readonly knownOpenings = new Map<string, (boolean | undefined)[]>()
  private parts: readonly TrippingPart[] | null = null

  constructor(private readonly here: Situated) {}

  /** Forgets what was found of hypotheses from this number on. */
  forget(from: number): void {
    for (const kept of [this.knownTrips, ...this.knownOpenings.values()])
      kept.length = Math.min(kept.length, from)
  }

  /** Fuses and breakers that the hypothesis opens here by itself, with how they then stand. */
  trips(hypothesis: number): readonly Trip[] {
    const known = this.knownTrips[hypothesis] ?? this.findTrips(hypothesis)
    this.knownTrips[hypothesis] = known
    return known
  }

  private findTrips(hypothesis: number): readonly Trip[] {
    if (this.isFaint(hypothesis)) return []
    const { healthy } = this.here.circuit
    const { states } = this.here.settle(hypothesis)
    const own = new Set(this.here.of(hypothesis))
    return this.everyTripping()
      .filter(
        ({ part, links }) =>
          !own.has(part.id) &&
          links.some(({ link }) => states[link] === 'open' && healthy.states[link] !== 'open'),
      )
      .map(({ part, links }): Trip => {
        let known: number | null = null
        return {
          part: part.id,
          seconds: () => (known ??= this.secondsToOpen(hypothesis, { part, links })),
          held: links.map(({ name, link }) => ({
            does: 'hold',
            branch: `${part.id}/${name}`,
            state: states[link],
          })),
        }
      })
  }

  /** Whether nothing that a hypothesis does here can draw a current that opens anything. */
  private isFaint(hypothesis: number): boolean {
    const { circuit, isAsItStands } = this.here
    if (!isAsItStands || circuit.healthy.oscillates) return false
    const effects = this.here.effects(hypothesis)
    const drawsLittle = (effect: Effect): boolean => {
      switch (effect.does) {
        case 'join':
          return joinDraws(circuit.healthy, effect) < opensNothingAmps
        case 'hold':
          return circuit.stateOf(effect.branch) === effect.state
        default:
          return false
      }
    }
    return effects.every(drawsLittle) && !circuit.meetsSequence(effects)
  }

  /**
   * Whether what a hypothesis opens here draws so much through another fuse or breaker that it may go with
   * it, though the other was quicker.
   */
  mayOpenWith(hypothesis: number, of: string): boolean {
    const kept = this.knownOpenings.get(of) ?? []
    this.knownOpenings.set(of, kept)
    const known = kept[hypothesis]
    if (known !== undefined) return known
    const own = this.everyTripping().find(({ part }) => part.id === of)
    const may =
      own !== undefined &&
      this.trips(hypothesis).length > 0 &&
      this.secondsToOpen(hypothesis, own) <= atOnceSeconds
    kept[hypothesis] = may
    return may
  }

  /** How it stands once it has gone so; empty where it may not, or where nobody said which of its fuses. */
  openedBeside(hypothesis: number, of: string): readonly Effect[] {
    const own = this.everyTripping().find(({ part }) => part.id === of)
    const isOneFuse = own?.links.length === 1 || own?.part.kind.overcurrent === 'breaker'
    if (!own || !isOneFuse || !this.mayOpenWith(hypothesis, of)) return []
    const { links } = this.here.circuit.network
    return own.links.flatMap(({ name, link }): readonly Effect[] => {
      const state = openedStates.find((each) => each in links[link].states)
      return state ? [{ does: 'hold', branch: `${of}/${name}`, state }] : []
    })
  }

  private everyTripping(): readonly TrippingPart[] {
    if (this.parts) return this.parts
    const { network } = this.here.circuit
    this.parts = [...network.diagram.parts.values()]
      .filter(({ kind }) => kind.overcurrent)
      .map((part) => ({
        part,
        links: part.kind
          .branches(part.settings, {})
          .map(({ name }) => ({ name, link: network.linkNumbers.get(`${part.id}/${name}`) ?? -1 })),
      }))
    return this.parts
  }

  private secondsToOpen(hypothesis: number, { part, links }: TrippingPart): number {
    const curve = part.kind.opensAs?.(part.settings)
    if (!curve) return 0
    const before = this.beforeTrips(hypothesis)
    // a short that starves the relay which feeds it comes and goes: it is the stroke that opens
    const states = before.oscillates ? this.here.cycle(before) : [before]
    const most = Math.max(...states.flatMap((state) => links.map(({ link }) => clampAmps(state, link))))
    return openingSeconds(curve, most / part.settings.number('amps'))
  }

  /** The settled state with every fuse, breaker and protector held where it was. */
  private beforeTrips(hypothesis: number): Settled {
    const { circuit } = this.here
    return circuit.vary([...this.here.effects(hypothesis), ...circuit.tripsHeld(circuit.healthy)])
  }
}
