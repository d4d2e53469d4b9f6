import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Circuit, type Settled } from '../circuit/circuit'
import { solveDirect } from '../circuit/direct'
import { islandsOf } from '../circuit/islands'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import { faultsOf } from '../diagram/faults'
import { readLadder } from '../diagram/readLadder'
import { families } from '../families/index'
import { pairwiseMembers } from '../families/pairwise'
import type { Effect } from '../parts/effect'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { spiceNetlist, spiceOhms } from './spice'

const scratch = mkdtempSync(path.join(tmpdir(), 'spice-'))
afterAll(() => {
  rmSync(scratch, { recursive: true, force: true })
})

/** What ngspice prints of every node and source, by name: [re, im]. */
function ngspice(netlist: string): ReadonlyMap<string, readonly [number, number]> {
  const file = path.join(scratch, 'case.cir')
  writeFileSync(file, netlist)
  const printed = execFileSync('ngspice', ['-b', '-n', file], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  const found = new Map<string, readonly [number, number]>()
  for (const line of printed.split('\n')) {
    const [, name, re, im] = /^([a-z0-9#()]+) = (\S+?)(?:,\s*(\S+))?\s*$/i.exec(line) ?? []
    if (name) found.set(name.toLowerCase(), [Number(re), Number(im ?? 0)])
  }
  if (found.size === 0) throw new Error(`ngspice gave nothing:\n${printed.slice(0, 2000)}`)
  return found
}

const within = (ours: readonly [number, number], theirs: readonly [number, number]): boolean => {
  const apart = Math.hypot(ours[0] - theirs[0], ours[1] - theirs[1])
  return apart <= Math.max(1e-3, 1e-3 * Math.hypot(theirs[0], theirs[1]))
}

/**
 * Every node and branch that is not within 0.1 % or 1 mV, 1 mA; what hangs free of ground is compared against
 * its own island.
 */
function differences(settled: Settled, effects: readonly Effect[]): readonly string[] {
  const { network } = settled.circuit
  const theirs = ngspice(spiceNetlist(settled, effects))
  const direct = solveDirect(settled, effects, 'ac')
  const islands = islandsOf(settled.ac)
  const grounded = islands[network.earthNode]
  const anchors = new Map<number, number>()
  const wrong: string[] = []
  const out = new Float64Array(2)
  const told = (node: number): readonly [number, number] => theirs.get(`v(${node + 1})`) ?? [NaN, NaN]
  network.nodeNames.forEach((name, node) => {
    const island = islands[node]
    if (island !== grounded && !anchors.has(island)) anchors.set(island, node)
    const anchor = island === grounded ? network.earthNode : (anchors.get(island) ?? node)
    if (anchor === node) return
    settled.ac.volts(node, anchor, out)
    const base = anchor === network.earthNode ? ([0, 0] as const) : told(anchor)
    const other = told(node)
    if (!within([out[0], out[1]], [other[0] - base[0], other[1] - base[1]]))
      wrong.push(`${name}: ${out[0]},${out[1]} V against ${other[0] - base[0]},${other[1] - base[1]}`)
  })
  network.links.forEach((link, number) => {
    if (!direct.rows[number]) return
    settled.ac.amps(number, out)
    const other = theirs.get(`v${number}#branch`) ?? [NaN, NaN]
    if (!within([out[0], out[1]], other))
      wrong.push(`${link.id}: ${out[0]},${out[1]} A against ${other[0]},${other[1]}`)
  })
  return wrong
}

/** Every built-in unit, and a few of the members that cover the families' options. */
const circuits: ReadonlyMap<string, Diagram> = new Map([
  ...builtInUnitIds.map((id): [string, Diagram] => [id, builtInUnit(id)]),
  ...families
    .map(({ read }) => read())
    .flatMap((family) =>
      pairwiseMembers(family)
        .filter((_, k) => k % 12 === 1)
        .map((chosen): [string, Diagram] => [
          `${family.id} ${Object.values(chosen).join(' ')}`,
          readLadder(family.ladderOf(chosen)),
        ]),
    ),
])
const calls = [...circuits].flatMap(([id, diagram]) =>
  diagram.calls.map((call) => [id, call.id, diagram] as const),
)

test.each(calls)('%s in %s: ngspice finds the same, healthy and with a fault', (id, call, diagram) => {
  const circuit = new Circuit(diagram, situationOf(diagram, call))
  expect(differences(circuit.healthy, [])).toEqual([])
  const faults = faultsOf(diagram)
  // another one in each call of each circuit
  const fault = faults[(id.length * 7 + call.length * 31) % faults.length]
  const settled = circuit.vary(fault.effects)
  if (!settled.oscillates)
    expect({ of: fault.id, wrong: differences(settled, fault.effects) }).toEqual({ of: fault.id, wrong: [] })
})

test.each(builtInUnitIds)('%s isolated: ngspice finds the same ohms', (id) => {
  const diagram = builtInUnit(id)
  const circuit = new Circuit(diagram, situationOf(diagram, 'off', 'off'))
  const board = [...diagram.points.keys()].filter(
    (point) => point.startsWith('TB.') && point !== diagram.common,
  )
  for (const point of board) {
    const ours = meterValue(circuit.healthy, 'ohms', point, diagram.common)
    const told = ngspice(spiceOhms(circuit.healthy, [], point, diagram.common))
    const { nodes } = circuit.network
    const at = (name: string): number => told.get(`v(${(nodes.get(name) ?? 0) + 1})`)?.[0] ?? NaN
    const theirs = at(point) - at(diagram.common)
    if (ours === null) expect(theirs).toBeGreaterThan(40e6)
    else expect(Math.abs(ours - theirs)).toBeLessThanOrEqual(Math.max(1e-3, 1e-3 * theirs))
  }
})
