import type { Effect } from '../parts/effect'
import type { Settled } from './circuit'
import { Factored } from './factored'
import { buildNetwork, type Analysis, type Network, type Row } from './network'
import { replacedRow } from './overrides'

/** A settled state as one plain network: every link under its own row, joins as links of their own. */
export interface DirectNetwork {
  readonly network: Network
  readonly rows: Readonly<Record<Analysis, readonly Row[]>>
}

/**
 * Writes a settled state, reached with `effects` on top of its situation, as one network without any updates.
 */
export function directNetwork(settled: Settled, effects: readonly Effect[]): DirectNetwork {
  const { circuit, states, overrides } = settled
  const standing = [...circuit.situation.standing, ...effects]
  const network = buildNetwork(circuit.diagram, circuit.situation.conditions, standing)
  const rows = (analysis: Analysis): readonly Row[] =>
    network.links.map((link, number) => {
      const replaced = overrides.rows.get(number) ?? circuit.standingRows(number)
      const own = link.states[states[number] ?? link.rest]
      return replaced ? replacedRow(replaced, own, analysis) : own[analysis]
    })
  return { network, rows: { ac: rows('ac'), dc: rows('dc') } }
}

/** The same state solved by one fresh factorisation: what low-rank updates must agree with. */
export function solveDirect(settled: Settled, effects: readonly Effect[], analysis: Analysis): Factored {
  const { network, rows } = directNetwork(settled, effects)
  return new Factored(network, analysis, rows[analysis])
}
