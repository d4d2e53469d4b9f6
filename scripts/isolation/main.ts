// npm run isolation: how many readings it takes to find every single fault of the units; writes docs/isolation.*
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread } from 'node:worker_threads'
import { builtInUnitIds } from '@jokulgale/core/units/index'
import { machine } from '../house/machine.mjs'
import { writeDocs } from '../house/page'
import { answer, onThreads } from '../house/threads'
import { isolationPage } from './page'
import { isolationOf, type UnitIsolation } from './unitIsolation'

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: { threads: { type: 'string', default: String(availableParallelism()) } },
  })
  const rows = new Map<string, UnitIsolation>()
  await onThreads<string, UnitIsolation>(builtInUnitIds, Number(values.threads), (id, row) => {
    rows.set(id, row)
    console.log(id, `${row.seconds.toFixed(0)} s`)
  })
  const inOrder = builtInUnitIds.flatMap((id) => rows.get(id) ?? [])
  writeDocs('isolation.json', `${JSON.stringify({ machine, rows: inOrder }, null, 2)}\n`)
  writeDocs('isolation.md', isolationPage(inOrder))
  console.log('written to docs/isolation.md, docs/isolation.json')
}

if (isMainThread) await main()
else answer<string, UnitIsolation>(isolationOf)
