import fc from 'fast-check'
import { faultsOf } from '../diagram/faults'
import { DiagramError, readLadder } from '../diagram/readLadder'
import { partKinds } from '../parts/index'
import { Settings } from '../parts/settings'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { Circuit, type Settled } from './circuit'
import { solveDirect } from './direct'
import type { Factored } from './factored'
import { islandsOf } from './islands'
import type { Row } from './network'
import { situationOf } from './situation'

const out = new Float64Array(2)

const eachCall = builtInUnitIds.flatMap((id) => builtInUnit(id).calls.map((call) => [id, call.id] as const))

describe.each(eachCall)('%s in %s', (id, call) => {
  const diagram = builtInUnit(id)
  const circuit = new Circuit(diagram, situationOf(diagram, call))
  const turn = diagram.calls.findIndex(({ id: name }) => name === call)

  test('healthy, it comes to rest', () => {
    expect(circuit.healthy.oscillates).toBe(false)
  })

  test('currents balance at every node, to a nanoampere per ampere', () => {
    const { network } = circuit
    const sum = new Float64Array(network.earthNode + 1)
    let most = 1
    network.links.forEach((link, number) => {
      circuit.healthy.ac.amps(number, out)
      most = Math.max(most, Math.abs(out[0]))
      sum[link.a] += out[0]
      sum[link.b] -= out[0]
    })
    // leakage of 100 GΩ a node is part of the model
    const worst = sum.subarray(0, network.earthNode).reduce((a, b) => Math.max(a, Math.abs(b)), 0)
    expect(worst / most).toBeLessThan(1e-8)
  })

  test('low-rank updates agree with a fresh factorisation, fault by fault', () => {
    // every twenty-eighth fault of each unit in each call, other ones in each
    const faults = faultsOf(diagram).filter((_, k) => k % 28 === (2 * turn) % 28)
    for (const fault of faults) {
      const settled = circuit.vary(fault.effects)
      if (settled.oscillates) continue
      for (const analysis of ['ac', 'dc'] as const) {
        const direct = solveDirect(settled, fault.effects, analysis)
        const worst = worstDifference(settled, direct, analysis)
        if (!(worst < 1e-9)) throw new Error(`${fault.id} ${analysis}: ${worst} apart`)
      }
    }
  })

  test('a fault gives numbers, and where it comes to rest no part wants otherwise', () => {
    for (const [k, fault] of faultsOf(diagram).entries()) {
      // every second in each call, the others in the next
      if (k % 2 !== turn % 2) continue
      const settled = circuit.vary(fault.effects)
      // every third in each call, other ones in each
      if (
        k % 3 === call.length % 3 &&
        !settled.oscillates &&
        circuit.wantsIn(settled, settled.states, settled.overrides).size > 0
      )
        throw new Error(`${fault.id}: called at rest too early`)
      // what does not rest goes on from each of its states to another
      expect(circuit.cycle(settled).length > 0).toBe(settled.oscillates)
      for (const passing of circuit.cycle(settled))
        if (circuit.wantsIn(passing, passing.states, passing.overrides).size === 0)
          throw new Error(`${fault.id}: rests in its cycle`)
      // every third node, other ones for each fault: what is no number spreads
      for (let node = k % 3; node < circuit.network.earthNode; node += 3) {
        settled.ac.volts(node, circuit.network.earthNode, out)
        if (!Number.isFinite(out[0]) || !Number.isFinite(out[1]))
          throw new Error(`${fault.id}: ${circuit.network.nodeNames[node]} is not a number`)
      }
    }
  })
})

/** What a look shows of a part that works, by the branch of it that does the work. */
const working: Readonly<Record<string, string>> = {
  coil: 'pulled-in|open-drawn',
  main: 'turning',
  protector: 'turning',
  electronics: 'lamp-on',
  light: 'lamp-on',
  motor: 'open-drawn',
  drive: 'turning',
  input: 'turning',
}

test.each(eachCall)(
  '%s in %s: what is broken inside does not work, whatever volts stand on it',
  (id, call) => {
    const diagram = builtInUnit(id)
    const circuit = new Circuit(diagram, situationOf(diagram, call))
    for (const fault of faultsOf(diagram)) {
      const [, branch] = /:(\w+)-(?:open|shorted)$/.exec(fault.id) ?? []
      if (branch === undefined || !(branch in working)) continue
      const looks = circuit.looks(circuit.vary(fault.effects)).get(fault.of) ?? []
      if (looks.some((look) => working[branch].split('|').includes(look)))
        throw new Error(`${fault.id}: ${looks.join()}`)
    }
  },
)

/**
 * Largest difference over all branches, as a share of the healthy unit’s largest volts and amps. Volts
 * between
 * islands that nothing joins are a matter of leakage, and are left out.
 */
function worstDifference(settled: Settled, direct: Factored, analysis: 'ac' | 'dc'): number {
  const { links } = settled.circuit.network
  const { re, im } = direct.solution
  const worst = { volts: 0, amps: 0 }
  const most = { volts: 1, amps: 1 }
  const { healthy } = settled.circuit
  const solution = analysis === 'ac' ? settled.ac : settled.circuit.wholeDirect(settled)
  const islands = islandsOf(solution)
  links.forEach(({ a, b }, link) => {
    const at = direct.nodeCount + 1 + link
    healthy[analysis].volts(a, b, out)
    most.volts = Math.max(most.volts, Math.hypot(out[0], out[1]))
    solution.volts(a, b, out)
    if (islands[a] === islands[b])
      worst.volts = Math.max(worst.volts, Math.hypot(out[0] - (re[a] - re[b]), out[1] - (im[a] - im[b])))
    healthy[analysis].amps(link, out)
    most.amps = Math.max(most.amps, Math.hypot(out[0], out[1]))
    solution.amps(link, out)
    worst.amps = Math.max(worst.amps, Math.hypot(out[0] - re[at], out[1] - im[at]))
  })
  return Math.max(worst.volts / most.volts, worst.amps / most.amps)
}

test('with no motor turning the network is reciprocal', () => {
  for (const id of builtInUnitIds) {
    const diagram = builtInUnit(id)
    const { ac } = new Circuit(diagram, situationOf(diagram, 'off')).healthy
    const nodes = [...diagram.points.keys()].map((_, node) => node)
    for (let k = 0; k < 40; k++) {
      const [a, b, c, d] = [7, 11, 13, 17].map((step) => nodes[(k * step + step) % nodes.length])
      const there = ac.base.pairResponse(a, b)
      const back = ac.base.pairResponse(c, d)
      const seen = Math.hypot(
        there.re[c] - there.re[d] - (back.re[a] - back.re[b]),
        there.im[c] - there.im[d] - (back.im[a] - back.im[b]),
      )
      const size = Math.max(1, Math.abs(there.re[a] - there.re[b]), Math.abs(back.re[c] - back.re[d]))
      expect(seen / size).toBeLessThan(1e-9)
    }
  }
})

test('random diagrams are refused or solved, they neither crash nor hang', () => {
  const kinds = [
    'heater',
    'relay',
    'contactor',
    'lamp',
    'fuse',
    'door-switch',
    'low-pressure-switch',
    'gas-valve',
    'capacitor',
    'three-phase-fan',
    'capacitor-fan',
    'three-speed-fan',
    'speed-switch',
    'transformer',
  ] as const
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...kinds), { minLength: 1, maxLength: 8 }),
      fc.array(fc.tuple(fc.nat(60), fc.nat(60)), { minLength: 4, maxLength: 30 }),
      (chosen, pairs) => {
        const parts = chosen.map((kind, k) => ({ id: `P${k}`, kind, terminals: terminalsOf(kind) }))
        const points = [
          'SV.L1',
          'SV.L2',
          'SV.L3',
          'SV.N',
          ...parts.flatMap(({ id, terminals }) => terminals.map((name) => `${id}.${name}`)),
        ]
        const text = [
          'unit random "Random"',
          'class none',
          'common SV.N',
          'call off "Off"',
          'zone here "Here"',
          'part SV supply "Supply" in here',
          ...parts.map(({ id, kind }) => `part ${id} ${kind} "${kind}" in here`),
          'rung "All" line',
          ...pairs.map(
            ([a, b], k) => `  ${points[a % points.length]} -black ${k}- ${points[b % points.length]}`,
          ),
        ].join('\n')
        let diagram
        try {
          diagram = readLadder(text)
        } catch (error) {
          expect(error).toBeInstanceOf(DiagramError)
          return
        }
        const circuit = new Circuit(diagram, situationOf(diagram, 'off'))
        for (let node = 0; node < circuit.network.earthNode; node++) {
          circuit.healthy.ac.volts(node, circuit.network.earthNode, out)
          expect(Number.isFinite(out[0]) && Number.isFinite(out[1])).toBe(true)
        }
      },
    ),
    { numRuns: 300 },
  )
})

const terminalsOf = (name: string): readonly string[] => {
  const kind = partKinds.get(name)
  return kind ? kind.terminals(new Settings('P', kind.settings)).map((terminal) => terminal.name) : []
}

test('energy balances: what the sources give is what the rest takes', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const circuit = new Circuit(diagram, situationOf(diagram, 'cool2'))
  const volts = new Float64Array(2)
  let given = 0
  let taken = 0
  circuit.network.links.forEach((link, number) => {
    circuit.healthy.ac.volts(link.a, link.b, volts)
    circuit.healthy.ac.amps(number, out)
    const watts = volts[0] * out[0] + volts[1] * out[1]
    const row: Row = link.states[circuit.healthy.states[number]].ac
    if (link.role === 'source' && row !== null) given -= watts
    else taken += watts
  })
  expect(given).toBeGreaterThan(5000)
  expect(Math.abs(given - taken) / given).toBeLessThan(1e-6)
})
