import type { Ground } from './base'
import type { Analysis, Network, Row } from './network'
import { replacedRow, type Overrides } from './overrides'
import type { Change } from './variation'

/**
 * Which row each link of a network stands under, given the states of its parts and what has been done to it.
 */
export class Rows {
  constructor(
    private readonly network: Network,
    private readonly standing: Overrides,
  ) {}

  /** A link in a state, under what stands for the whole situation. */
  of(link: number, state: string, analysis: Analysis): Row {
    const own = this.network.links[link].states[state]
    const standing = this.standing.rows.get(link)
    return standing ? replacedRow(standing, own, analysis) : own[analysis]
  }

  /** The same with further effects on top. */
  under(overrides: Overrides, link: number, state: string, analysis: Analysis): Row {
    const replaced = overrides.rows.get(link)
    return replaced
      ? replacedRow(replaced, this.network.links[link].states[state], analysis)
      : this.of(link, state, analysis)
  }

  all(states: readonly string[], overrides: Overrides, analysis: Analysis): readonly Row[] {
    return this.network.links.map((_, link) => this.under(overrides, link, states[link], analysis))
  }

  /** The rows that stand otherwise than on a ground; only links in `touched` or among its `differs` can. */
  changes(
    { factored, differs }: Ground,
    analysis: Analysis,
    states: readonly string[],
    touched: ReadonlySet<number>,
    overrides: Overrides,
  ): Change[] {
    const { links } = this.network
    const changes: Change[] = []
    for (const link of touched) {
      const row = this.under(overrides, link, states[link], analysis)
      if (row !== factored.rows[link]) changes.push({ link, a: links[link].a, b: links[link].b, row })
    }
    for (const link of differs) {
      if (touched.has(link)) continue
      const row = this.under(overrides, link, states[link], analysis)
      if (row !== factored.rows[link]) changes.push({ link, a: links[link].a, b: links[link].b, row })
    }
    for (const join of overrides.joins)
      changes.push({ link: -1, a: join.a, b: join.b, row: join.rows[analysis] })
    return changes
  }
}
