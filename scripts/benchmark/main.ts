// npm run benchmark: how much work the circuit is, beside the same work done by ngspice in one process;
// writes
// docs/benchmark.*
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Circuit } from '@jokulgale/core/circuit/circuit'
import { MeterSweep, nodeOf, valueBetween } from '@jokulgale/core/circuit/meter'
import { situationOf } from '@jokulgale/core/circuit/situation'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { faultsOf } from '@jokulgale/core/diagram/faults'
import { spiceNetlist } from '@jokulgale/core/formats/spice'
import { builtInUnit, builtInUnitIds } from '@jokulgale/core/units/index'
import { machine } from '../house/machine.mjs'
import { table, writeDocs } from '../house/page'
import { kluProgram, measureKlu } from './klu'
import { median } from './median'

const repeats = 21
const passesEach = 5
const steppedByNgspice = 60

const timed = (work: () => void): number => {
  const start = performance.now()
  work()
  return performance.now() - start
}

const build = (diagram: Diagram, call: string): Circuit => new Circuit(diagram, situationOf(diagram, call))
const busiestCall = ({ calls }: Diagram): string => calls[calls.length - 1].id

function measureUnit(diagram: Diagram) {
  const faults = faultsOf(diagram)
  const busiest = busiestCall(diagram)
  const coldMs = median(
    Array.from({ length: repeats }, () =>
      timed(() => {
        build(diagram, busiest)
      }),
    ),
  )
  let variations = 0
  let changes = 0
  let rounds = 0
  const passes = Array.from({ length: passesEach }, () =>
    diagram.calls.reduce((sum, { id }) => {
      const circuit = build(diagram, id)
      // the responses of the links are part of the work: nothing is warmed for this circuit
      return (
        sum +
        timed(() => {
          for (const fault of faults) {
            const settled = circuit.vary(fault.effects)
            changes += settled.ac.changes.length
            rounds += settled.rounds
            variations += 1
          }
        })
      )
    }, 0),
  )
  const allMs = median(passes)
  return {
    unit: diagram.id,
    terminals: diagram.points.size,
    links: build(diagram, 'off').network.links.length,
    faults: faults.length,
    calls: diagram.calls.length,
    factorEntries: build(diagram, busiest).factorEntries,
    coldMs,
    allMs,
    variationMicroseconds: (1000 * allMs) / (faults.length * diagram.calls.length),
    changesPerVariation: changes / variations,
    // the last round finds that nothing moves any more
    solvesPerVariation: 1 + rounds / variations,
  }
}

/**
 * Microseconds for a reading under one fault, of volts from points all over the unit to its common: fault by
 * fault, and all faults in one sweep.
 */
function measureReadings(diagram: Diagram): {
  readonly aloneMicroseconds: number
  readonly sweptMicroseconds: number
} {
  const circuit = build(diagram, busiestCall(diagram))
  const states = faultsOf(diagram).map(({ effects }) => circuit.vary(effects))
  const common = nodeOf(circuit.healthy, diagram.common)
  // a first step asks for half as many readings again as the unit has points
  const points = Array.from(
    { length: Math.round(1.5 * diagram.points.size) },
    (_, k) => (k * 7) % circuit.network.earthNode,
  ).filter((node) => node !== common)
  const alone = (): void => {
    for (const node of points) for (const settled of states) valueBetween(settled, 'volts', node, common)
  }
  const swept = (): void => {
    const sweep = new MeterSweep('volts', states)
    for (const node of points) sweep.read(node, common)
  }
  // the responses that both share are worked out, and the code is warm
  alone()
  swept()
  const microseconds = (work: () => void): number =>
    (1000 * median(Array.from({ length: passesEach }, () => timed(work)))) / (points.length * states.length)
  return { aloneMicroseconds: microseconds(alone), sweptMicroseconds: microseconds(swept) }
}

/** Milliseconds a solve that ngspice needs when it steps one resistor of the unit inside one process. */
function ngspiceStep(diagram: Diagram, scratch: string): number {
  const circuit = new Circuit(diagram, situationOf(diagram, diagram.calls[diagram.calls.length - 1].id))
  const netlist = spiceNetlist(circuit.healthy, [])
  const names = [...netlist.matchAll(/^(R\d+) /gm)].map(([, name]) => name)
  const steps = (count: number): string =>
    Array.from(
      { length: count },
      (_, k) => `alter ${names[k % names.length]} = ${10 + k}\nac lin 1 60 60`,
    ).join('\n')
  const run = (count: number): number => {
    const file = path.join(scratch, 'steps.cir')
    writeFileSync(
      file,
      netlist.replace(/\.control[\s\S]*?\.endc/, `.control\n${steps(count)}\nquit 0\n.endc`),
    )
    return timed(() => {
      execFileSync('ngspice', ['-b', '-n', file], { stdio: ['ignore', 'ignore', 'ignore'] })
    })
  }
  return (run(steppedByNgspice) - run(1)) / (steppedByNgspice - 1)
}

const scratch = mkdtempSync(path.join(tmpdir(), 'bench-'))
const largest = builtInUnitIds
  .map((id) => builtInUnit(id))
  .reduce((a, b) => (b.points.size > a.points.size ? b : a))
const firstMs = timed(() => {
  build(largest, busiestCall(largest))
})
// the code is compiled while it runs: no unit is measured before all have been through it
for (const id of builtInUnitIds) measureUnit(builtInUnit(id))
const circuitRows = builtInUnitIds.map((id) => {
  console.log(id)
  const row = measureUnit(builtInUnit(id))
  const ngspiceMs = ngspiceStep(builtInUnit(id), scratch)
  return {
    ...row,
    ...measureReadings(builtInUnit(id)),
    ngspiceMs,
    timesAsFastAsNgspice: (1000 * ngspiceMs) / row.variationMicroseconds,
  }
})
const klu = kluProgram(scratch)
const kluRows = klu
  ? circuitRows.map(({ unit, variationMicroseconds, solvesPerVariation }) => {
      const diagram = builtInUnit(unit)
      const row = measureKlu(klu, build(diagram, busiestCall(diagram)).healthy.ac.base.matrix())
      const kluVariation = solvesPerVariation * (row.kluRefactor + row.kluSolve)
      return { unit, ...row, solvesPerVariation, kluVariation, variationMicroseconds }
    })
  : []
rmSync(scratch, { recursive: true, force: true })

const heapMiB = Math.round(process.memoryUsage().heapUsed / 2 ** 20)
writeDocs(
  'benchmark.json',
  `${JSON.stringify({ machine, heapMiB, firstMs, circuit: circuitRows, klu: kluRows }, null, 2)}\n`,
)
writeDocs(
  'benchmark.md',
  `# Measured

By \`npm run benchmark\` on ${machine}. Heap after all units: ${heapMiB} MiB.

## The circuit

Cold: a situation built, factored and settled with nothing kept from before, median of ${repeats}, all units having been through the code once; the first of all in the process, ${largest.id}, took ${firstMs.toFixed(0)} ms. Variation: one fault with all that follows from it, by low-rank updates, mean over all faults and calls, the responses of links and the factorisations of far states included; median of ${passesEach} passes, each on circuits made anew. ngspice: one solve, stepping a resistor of the same unit inside one process; it settles no contacts. A reading: volts from a point to common under one fault that is solved already, the meter's own input included, fault by fault and all faults in one sweep (the making of the sweep included), mean over half as many readings again as the unit has terminals, as a first step asks for.

${table(
  [
    'unit',
    'terminals',
    'links',
    'faults',
    'calls',
    'factor entries',
    'cold, ms',
    'one variation, µs',
    'rows changed',
    'all faults × calls, ms',
    'a reading alone, µs',
    'in a sweep, µs',
    'times as fast',
    'ngspice, ms a solve',
    'as fast as ngspice, times',
  ],
  circuitRows.map((row) => [
    row.unit,
    row.terminals,
    row.links,
    row.faults,
    row.calls,
    row.factorEntries,
    row.coldMs.toFixed(1),
    row.variationMicroseconds.toFixed(0),
    row.changesPerVariation.toFixed(1),
    row.allMs.toFixed(0),
    row.aloneMicroseconds.toFixed(2),
    row.sweptMicroseconds.toFixed(2),
    (row.aloneMicroseconds / row.sweptMicroseconds).toFixed(1),
    row.ngspiceMs.toFixed(2),
    row.timesAsFastAsNgspice.toFixed(1),
  ]),
)}

The netlist that ngspice is given has two sources for each link and is set up anew at each step: its column flatters.

## Beside a compiled sparse solver

${
  kluRows.length === 0
    ? 'Not measured here: it takes a C compiler and libsuitesparse-dev.'
    : `SuiteSparse’s KLU, compiled C, on the very same complex matrix of the healthy unit in its busiest call, in the same run; medians, µs. A solve has a right-hand side that is full, so nothing is skipped. *KLU, one variation* is what it needs to factor anew with its pivots kept and to solve, for as many rounds as ours took to settle; it settles nothing itself. Apart: the largest difference of the two solutions, as a share of the largest value.

${table(
  [
    'unit',
    'unknowns',
    'entries',
    'KLU factors',
    'refactors',
    'solves',
    'ours factors',
    'solves',
    'ours / KLU, a solve',
    'rounds',
    'KLU, one variation',
    'ours',
    'ours / KLU, a variation',
    'apart',
  ],
  kluRows.map((row) => [
    row.unit,
    row.size,
    row.entries,
    row.kluFactor.toFixed(0),
    row.kluRefactor.toFixed(0),
    row.kluSolve.toFixed(1),
    row.ourFactor.toFixed(0),
    row.ourSolve.toFixed(1),
    (row.ourSolve / row.kluSolve).toFixed(2),
    row.solvesPerVariation.toFixed(1),
    row.kluVariation.toFixed(0),
    row.variationMicroseconds.toFixed(0),
    (row.variationMicroseconds / row.kluVariation).toFixed(2),
    row.apart.toExponential(0),
  ]),
)}`
}
`,
)
console.log(`written to docs/benchmark.md and docs/benchmark.json; ${machine}`)
