import { Circuit } from '../circuit/circuit'
import { loadAmps, runsFromAmps } from '../circuit/loadAmps'
import { situationOf } from '../circuit/situation'
import { partWords } from '../diagram/diagram'
import { builtInUnit, builtInUnitIds } from './index'
import { whatRuns } from './whatRuns'

/**
 * What a load draws, to a tenth of an ampere: finer than anybody reads, coarser than any change of the
 * solver.
 */
const shown = (amps: number): string => (amps < runsFromAmps ? '' : amps.toFixed(1))

/**
 * Which load of a unit runs in which call, healthy: a line each, looked at one by one whenever one changes.
 */
test.each(builtInUnitIds)('%s: what runs in which call', (id) => {
  const diagram = builtInUnit(id)
  const byCall = diagram.calls.map(({ id: call }) => ({
    call,
    amps: loadAmps(new Circuit(diagram, situationOf(diagram, call)).healthy),
  }))
  const loads = [...new Set(byCall.flatMap(({ amps }) => [...amps.keys()]))]
  const table = [
    ['', ...byCall.map(({ call }) => call)],
    ...loads.map((load) => [
      `${load} ${partWords(diagram, load)}`,
      ...byCall.map(({ amps }) => shown(amps.get(load) ?? 0)),
    ]),
  ]
  const lines = table.map((row) =>
    row.map((cell, k) => (k === 0 ? cell.padEnd(34) : cell.padStart(11))).join(''),
  )
  expect(`\n${lines.map((line) => line.trimEnd()).join('\n')}\n`).toBe(whatRuns[id])
})
