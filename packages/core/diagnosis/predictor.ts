import { pendingAt, type LateMove } from '../circuit/delays'
import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import type { Effect } from '../parts/effect'
import type { FaultClass } from '../parts/faultClass'
import { lateMovesIn } from '../visit/lateMovesIn'
import type { SettingChange, Standing } from '../visit/standing'
import { mayComeAndGo, whileAway } from './comingBack'
import { bothOf, hypothesesOf, type Hypothesis } from './hypothesis'
import { hasRange, isShort, withOhms, type Resistance } from './resistance'
import { SituationModel } from './situationModel'

/** Sorts of fault that may overload something, beside shorts. */
const mayShort: ReadonlySet<FaultClass> = new Set(['landing', 'joined', 'stuck', 'unlike'])

/** Situations kept at once: each holds the unit solved under all its faults, some megabytes. */
const mostSituations = 48

/** A unit with its hypotheses, solved situation by situation. */
export class UnitModel {
  /** Single faults first; pairs are added behind them as they are thought of. */
  readonly hypotheses: readonly Hypothesis[]
  /** How many of the hypotheses are not pairs. */
  readonly singles: number
  /** Their numbers. */
  readonly everySingle: readonly number[]
  /** Those about what surrounds the unit. */
  readonly aboutSurroundings: readonly number[]
  private readonly all: Hypothesis[]
  private readonly pairs = new Map<string, number>()
  private readonly versions = new Map<string, number>()
  private readonly changing: (boolean | undefined)[] = []
  private readonly situations = new Map<string, SituationModel>()
  private forgotten = 0

  constructor(readonly diagram: Diagram) {
    this.all = [...hypothesesOf(diagram)]
    this.hypotheses = this.all
    this.singles = this.all.length
    this.everySingle = Array.from(this.all, (_, h) => h)
    this.aboutSurroundings = this.everySingle.filter((h) =>
      this.all[h].faults.some(({ class: sort }) => sort === 'surroundings'),
    )
  }

  /** The number of the hypothesis that two single faults are there at once. */
  pair(a: number, b: number): number {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`
    const known = this.pairs.get(key)
    if (known !== undefined) return known
    const number = this.all.push(bothOf(this.all[Math.min(a, b)], this.all[Math.max(a, b)])) - 1
    this.pairs.set(key, number)
    return number
  }

  /** Whether faults of such a sort may open a fuse or breaker. */
  mayTrip(h: number): boolean {
    return this.all[h].faults.some((fault) => isShort(fault) || mayShort.has(fault.class))
  }

  /**
   * Whether what a hypothesis says may come and go by itself: a connection may, a winding that is open does
   * not.
   */
  comesAndGoes(h: number): boolean {
    const known = this.changing[h] ?? this.all[h].faults.some((fault) => mayComeAndGo(this.diagram, fault))
    this.changing[h] = known
    return known
  }

  /** How a unit stands while what a hypothesis does has gone away by itself. */
  whileAway(h: number): readonly Effect[] {
    return this.all[h].faults.flatMap((fault) => whileAway(this.diagram, fault))
  }

  /**
   * The number of a hypothesis as it may stand at some moment: its shorts of so many ohms, with what has come
   * of it held. It is no suspect of its own, only something to predict with.
   */
  version(of: number, asked: Resistance, held: readonly Effect[]): number {
    const hypothesis = this.all[of]
    // what has no range is of any resistance as it is drawn
    const ohms = asked === 'drawn' || hypothesis.faults.some(hasRange) ? asked : 'drawn'
    if (ohms === 'drawn' && held.length === 0) return of
    const key = `${of} ${ohms} ${held.map((effect) => JSON.stringify(effect)).join()}`
    const known = this.versions.get(key)
    if (known !== undefined) return known
    const faults =
      ohms === 'drawn' ? hypothesis.faults : hypothesis.faults.map((fault) => withOhms(fault, ohms))
    const version: Hypothesis = {
      ...hypothesis,
      prior: 0,
      faults,
      effects: faults.flatMap(({ effects }) => effects),
      held: [...(hypothesis.held ?? []), ...held],
    }
    const number = this.all.push(version) - 1
    this.versions.set(key, number)
    return number
  }

  /** The same at its first instant: nothing has reacted to its faults yet. */
  firstInstant(of: number, ohms: Resistance): number {
    const key = `${of} ${ohms} at first`
    const known = this.versions.get(key)
    if (known !== undefined) return known
    const { [this.version(of, ohms, [])]: version } = this.all
    const number = this.all.push({ ...version, prior: 0, atFirst: true }) - 1
    this.versions.set(key, number)
    return number
  }

  /** How often the numbers of pairs and versions were given out anew. */
  get timesForgotten(): number {
    return this.forgotten
  }

  /**
   * Forgets every pair and version that was thought of, when a case is over: their numbers are given out
   * anew.
   */
  forgetPairs(): void {
    this.forgotten++
    this.all.length = this.singles
    this.pairs.clear()
    this.versions.clear()
    this.changing.length = this.singles
    for (const situation of this.situations.values()) situation.forget(this.singles)
  }

  /**
   * The effects of the faults that were still there at a standing, though they have been put right since; −1
   * stands for none.
   */
  stillThere(repairedFaults: readonly number[], { repairs }: Standing): readonly Effect[] {
    return repairedFaults.slice(repairs).flatMap((h) => (h < 0 ? [] : this.hypotheses[h].effects))
  }

  /** The situation of a standing; `also` are faults known to have been there at the time. */
  situation(standing: Standing, also: readonly Effect[] = []): SituationModel {
    const { call, power, off, conditions, actions, settings, reset, rested } = standing
    const pending = this.pending(standing)
    const key = JSON.stringify([
      call,
      power,
      off,
      Object.entries(conditions).sort(),
      actions.map((action) => action.key).sort(),
      settings,
      reset,
      rested,
      pending,
      also,
    ])
    const known = this.situations.get(key)
    if (known) {
      // to the end of the line: the first in it goes first
      this.situations.delete(key)
      this.situations.set(key, known)
      return known
    }
    const standingEffects = [
      ...also,
      ...settings.map((change) => this.settingEffect(change)),
      ...actions.flatMap((action) => action.effects),
      ...pending,
    ]
    const circuit = new Circuit(
      this.diagram,
      situationOf(this.diagram, call, power, conditions, standingEffects, off),
    )
    const model = new SituationModel(this.hypotheses, circuit, standing)
    this.situations.set(key, model)
    const [oldest] = this.situations.keys()
    if (this.situations.size > mostSituations) this.situations.delete(oldest)
    return model
  }

  /** What moves late in a healthy unit after the last change of call or power, with the seconds it takes. */
  lateMoves(standing: Standing): readonly LateMove[] {
    return lateMovesIn(this.diagram, standing)
  }

  private pending(standing: Standing): readonly Effect[] {
    return standing.age === null ? [] : pendingAt(this.lateMoves(standing), standing.age)
  }

  private settingEffect({ part, setting, to }: SettingChange): Effect {
    const usual = this.diagram.parts.get(part)?.kind.settings[setting]
    // a dial that shows marks keeps the mark: its part knows what it stands for
    const asNumber = Number(to)
    const isNumber = typeof usual === 'number' && Number.isFinite(asNumber)
    return { does: 'set', part, setting, to: isNumber ? asNumber : to }
  }
}
