// npm run trials: how well the diagnosis searches, on units whose faults are known; writes docs/diagnosis.*
// and docs/reliability.svg
import { readFileSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread } from 'node:worker_threads'
import { builtInUnitIds } from '@jokulgale/core/units/index'
import { machine } from '../house/machine.mjs'
import { writeDocs } from '../house/page'
import { answer, onThreads } from '../house/threads'
import { page } from './page'
import { reliabilityPlot, together } from './reliability'
import { trialsOf, type Extent, type UnitTrials } from './unitTrials'

interface Task {
  readonly id: string
  readonly extent: Extent
}

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      each: { type: 'string', default: '40' },
      pairs: { type: 'string', default: '20' },
      schools: { type: 'string', default: '20' },
      seed: { type: 'string', default: '480' },
      units: { type: 'string', default: builtInUnitIds.join(',') },
      threads: { type: 'string', default: String(availableParallelism()) },
      keep: { type: 'boolean', default: false },
    },
  })
  const extent: Extent = {
    each: Number(values.each),
    schools: Number(values.schools),
    pairs: Number(values.pairs),
    seed: Number(values.seed),
  }
  const before = new Map(values.keep ? keptRows().map((row) => [row.id, row] as const) : [])
  const rows = new Map(before)
  await onThreads<Task, UnitTrials>(
    values.units.split(',').map((id) => ({ id, extent })),
    Number(values.threads),
    ({ id }, row) => {
      const kept = before.get(id)
      rows.set(id, extent.pairs === 0 && kept ? { ...row, ...pairsOf(kept) } : row)
      write(
        builtInUnitIds.flatMap((done) => rows.get(done) ?? []),
        extent,
      )
      console.log(id, `${row.seconds.toFixed(0)} s`)
    },
  )
  console.log('written to docs/diagnosis.md, docs/diagnosis.json, docs/reliability.svg')
}

/**
 * With --keep: what the last run found of the units that this one leaves out, and of pairs where it tries
 * none.
 */
const keptRows = (): readonly UnitTrials[] => JSON.parse(readFileSync('docs/diagnosis.json', 'utf8')).rows

const pairsOf = ({ pairs, pairsFound, pairSteps, proofReadings }: UnitTrials) => ({
  pairs,
  pairsFound,
  pairSteps,
  proofReadings,
})

function write(rows: readonly UnitTrials[], extent: Extent): void {
  const calibration = together(rows.map((row) => row.calibration))
  writeDocs('diagnosis.json', `${JSON.stringify({ machine, ...extent, rows }, null, 2)}\n`)
  writeDocs('reliability.svg', reliabilityPlot(calibration))
  writeDocs('diagnosis.md', page(rows, calibration, extent))
}

if (isMainThread) await main()
else answer<Task, UnitTrials>(({ id, extent }) => trialsOf(id, extent))
