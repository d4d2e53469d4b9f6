// npm run bench: how much work the circuit is, beside the same work done by ngspice in one process; writes docs/benchmark.*
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { cpus, tmpdir, totalmem } from 'node:os'
import path from 'node:path'
import { Circuit } from '@jokulgale/core/circuit/circuit'
import { situationOf } from '@jokulgale/core/circuit/situation'
import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { isolateAll, policies } from '@jokulgale/core/diagnosis/isolate'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { faultsOf } from '@jokulgale/core/diagram/faults'
import { spiceNetlist } from '@jokulgale/core/formats/spice'
import { builtInUnit, builtInUnitIds } from '@jokulgale/core/units/index'

const repeats = 7
const steppedByNgspice = 60

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
const timed = (work: () => void): number => {
  const start = performance.now()
  work()
  return performance.now() - start
}

function measureUnit(diagram: Diagram) {
  const faults = faultsOf(diagram)
  const build = (call: string): Circuit => new Circuit(diagram, situationOf(diagram, call))
  const busiest = diagram.calls[diagram.calls.length - 1].id
  const coldMs = median(Array.from({ length: repeats }, () => timed(() => { build(busiest) })))
  let variations = 0
  let changes = 0
  const passes = Array.from({ length: 1 }, () => diagram.calls.reduce((sum, { id }) => {
    const circuit = build(id)
    // the responses of the links are part of the work: nothing is warmed for this circuit
    return sum + timed(() => {
      for (const fault of faults) {
        changes += circuit.vary(fault.effects).ac.changes.length
        variations += 1
      }
    })
  }, 0))
  const allMs = median(passes)
  return {
    unit: diagram.id, terminals: diagram.points.size, links: build('off').network.links.length, faults: faults.length, calls: diagram.calls.length,
    factorEntries: build(busiest).factorEntries, coldMs, allMs, variationMicroseconds: (1000 * allMs) / (faults.length * diagram.calls.length),
    changesPerVariation: changes / variations,
  }
}

/** Milliseconds a solve that ngspice needs when it steps one resistor of the unit inside one process. */
function ngspiceStep(diagram: Diagram, scratch: string): number {
  const circuit = new Circuit(diagram, situationOf(diagram, diagram.calls[diagram.calls.length - 1].id))
  const netlist = spiceNetlist(circuit.healthy, [])
  const names = [...netlist.matchAll(/^(R\d+) /gm)].map(([, name]) => name)
  const steps = (count: number): string => Array.from({ length: count }, (_, k) => `alter ${names[k % names.length]} = ${10 + k}\nac lin 1 60 60`).join('\n')
  const run = (count: number): number => {
    const file = path.join(scratch, 'steps.cir')
    writeFileSync(file, netlist.replace(/\.control[\s\S]*?\.endc/, `.control\n${steps(count)}\nquit 0\n.endc`))
    return timed(() => { execFileSync('ngspice', ['-b', '-n', file], { stdio: ['ignore', 'ignore', 'ignore'] }) })
  }
  return (run(steppedByNgspice) - run(1)) / (steppedByNgspice - 1)
}

const scratch = mkdtempSync(path.join(tmpdir(), 'bench-'))
const machine = `${cpus().length} × ${cpus()[0].model}, ${Math.round(totalmem() / 2 ** 30)} GiB, Node ${process.version}`
const circuitRows = builtInUnitIds.map((id) => {
  console.log(id)
  const row = measureUnit(builtInUnit(id))
  const ngspiceMs = ngspiceStep(builtInUnit(id), scratch)
  return { ...row, ngspiceMs, timesAsFastAsNgspice: (1000 * ngspiceMs) / row.variationMicroseconds }
})
rmSync(scratch, { recursive: true, force: true })

/** Units with more faults than this take minutes a policy: play them with the command line's isolate. */
const playedUpTo = 300

const isolation = builtInUnitIds.filter((id) => modelOf(builtInUnit(id)).singles <= playedUpTo).map((id) => {
  const played = new Map(policies.map((policy) => [policy as string, isolateAll(modelOf(builtInUnit(id)), policy)]))
  const { classes, boundReadings, entropyBits, maxReadings, meanReadings } = played.get('best') ?? isolateAll(modelOf(builtInUnit(id)), 'best')
  return {
    unit: id, classes, boundReadings, entropyBits, maxReadings, meanReadings, walk: played.get('walk')?.meanReadings ?? NaN,
    mean: Object.fromEntries([...played].map(([policy, result]) => [policy, result.meanReadings])),
  }
})

const docs = path.join(__dirname, '..', '..', 'docs')
const heapMiB = Math.round(process.memoryUsage().heapUsed / 2 ** 20)
writeFileSync(path.join(docs, 'benchmark.json'), `${JSON.stringify({ machine, heapMiB, circuit: circuitRows, isolation }, null, 2)}\n`)
const table = (head: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  [head, head.map(() => '---'), ...rows].map((row) => `| ${row.join(' | ')} |`).join('\n')
writeFileSync(path.join(docs, 'benchmark.md'), `# Measured

By \`npm run bench\` on ${machine}. Heap after all units: ${heapMiB} MiB.

## The circuit

Cold: a situation built, factored and settled, median of ${repeats}. Variation: one fault with all that follows from it, by low-rank updates, mean over all faults and calls, the responses of links included. ngspice: one solve, stepping a resistor of the same unit inside one process; it settles no contacts.

${table(['unit', 'terminals', 'links', 'faults', 'calls', 'factor entries', 'cold, ms', 'one variation, µs', 'rows changed', 'all faults × calls, ms', 'ngspice, ms a solve', 'times as fast'],
    circuitRows.map((row) => [row.unit, row.terminals, row.links, row.faults, row.calls, row.factorEntries, row.coldMs.toFixed(1), row.variationMicroseconds.toFixed(0), row.changesPerVariation.toFixed(1), row.allMs.toFixed(0), row.ngspiceMs.toFixed(2), row.timesAsFastAsNgspice.toFixed(1)]))}

## Isolation

Every single fault played to its end with exact meter readings and equal costs; prior-weighted mean readings by policy, on the units with up to ${playedUpTo} hypotheses. Classes: groups that no available reading can part. Bound: the optimal tree with as many branches as the most any one reading has.

${table(['unit', 'classes', 'entropy, bits', 'bound', ...policies, 'best, most', 'best ÷ walk', '(best − 0.5) ÷ bound'],
    isolation.map((row) => [row.unit, row.classes, row.entropyBits.toFixed(2), row.boundReadings.toFixed(2), ...policies.map((policy) => row.mean[policy]?.toFixed(2) ?? '–'), row.maxReadings,
      Number.isNaN(row.walk) ? '–' : (row.meanReadings / row.walk).toFixed(2), ((row.meanReadings - 0.5) / row.boundReadings).toFixed(2)]))}
`)
console.log(`written to docs/benchmark.md and docs/benchmark.json; ${machine}`)
