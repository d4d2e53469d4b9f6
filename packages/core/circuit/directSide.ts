import { groundOf, type Ground } from './base'
import type { Network } from './network'
import { noOverrides, type Overrides } from './overrides'
import type { Rows } from './rows'
import { Variation, type Change } from './variation'

/** Direct volts below which a change of what joins two places moves nothing. */
const unmovedVolts = 1e-9

const noChanges: readonly Change[] = []

/**
 * The direct-current side of a circuit: sensors, actuator signals, a drive's bus. Nearly all of the unit is
 * dead to it,
 * so that of all rows that change only those are put in that it can feel.
 */
export class DirectSide {
  private ground: Ground
  /** What holds in the healthy state. */
  private healthy: Variation
  private readonly nodeAlive: Uint8Array
  private readonly linkAlive: Uint8Array

  constructor(
    private readonly network: Network,
    private readonly rows: Rows,
    states: readonly string[],
  ) {
    this.ground = groundOf(network, 'dc', rows.all(states, noOverrides, 'dc'), [])
    this.healthy = new Variation(this.ground.factored, noChanges)
    this.nodeAlive = new Uint8Array(network.earthNode + 1)
    this.linkAlive = new Uint8Array(network.links.length)
    this.feelOut()
  }

  /** Takes a settled state as the healthy one. */
  restIn(states: readonly string[], touched: ReadonlySet<number>): Variation {
    const changes = this.changes(states, touched, noOverrides)
    this.healthy = new Variation(this.ground.factored, changes)
    this.ground = {
      ...this.ground,
      differs: this.rows.changes(this.ground, 'dc', states, touched, noOverrides).map(({ link }) => link),
    }
    this.feelOut()
    return this.healthy
  }

  variation(changes: readonly Change[]): Variation {
    return changes === this.healthy.changes ? this.healthy : new Variation(this.ground.factored, changes)
  }

  /** Turns a working variation to other changes. */
  restart(trial: Variation, changes: readonly Change[]): void {
    trial.restart(this.ground.factored, changes)
  }

  isHealthy(changes: readonly Change[]): boolean {
    return changes === this.healthy.changes
  }

  /** With every change in it, felt by what flows now or not: what ohms are taken from. */
  whole(states: readonly string[], touched: ReadonlySet<number>, overrides: Overrides): Variation {
    return new Variation(
      this.ground.factored,
      this.rows.changes(this.ground, 'dc', states, touched, overrides),
    )
  }

  /** The changes of a state that can be felt; all of them if it turns out to feel another. */
  changes(states: readonly string[], touched: ReadonlySet<number>, overrides: Overrides): readonly Change[] {
    if (!this.isStirred(touched, overrides)) return this.healthy.changes
    const all = this.rows.changes(this.ground, 'dc', states, touched, overrides)
    const usual = this.healthy.changes
    const moves = (change: Change): boolean =>
      usual.some(({ link }) => link === change.link && link >= 0) ||
      this.nodeAlive[change.a] === 1 ||
      this.nodeAlive[change.b] === 1 ||
      (change.row !== null && change.row.emfRe !== 0)
    const moved = all.filter(moves)
    if (moved.length === all.length) return all
    const variation = new Variation(this.ground.factored, moved)
    return all.some(
      (change) => !moves(change) && (this.isAlive(variation, change.a) || this.isAlive(variation, change.b)),
    )
      ? all
      : moved
  }

  private isStirred(touched: ReadonlySet<number>, { joins }: Overrides): boolean {
    for (const link of touched) if (this.linkAlive[link] === 1) return true
    return joins.some(({ a, b }) => this.nodeAlive[a] === 1 || this.nodeAlive[b] === 1)
  }

  private isAlive(variation: Variation, node: number): boolean {
    return variation.directVolts(node, this.network.earthNode) > unmovedVolts
  }

  private feelOut(): void {
    const { earthNode, links } = this.network
    for (let node = 0; node < earthNode; node++)
      this.nodeAlive[node] = this.isAlive(this.healthy, node) ? 1 : 0
    links.forEach(({ a, b, states }, link) => {
      const drives = Object.values(states).some(({ dc }) => dc !== null && dc.emfRe !== 0)
      this.linkAlive[link] = drives || this.nodeAlive[a] === 1 || this.nodeAlive[b] === 1 ? 1 : 0
    })
  }
}
