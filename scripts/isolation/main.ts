// npm run isolation: how many readings it takes to find every single fault of the units; writes docs/isolation.*
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread } from 'node:worker_threads'
import { builtInUnitIds } from '@jokulgale/core/units/index'
import { eachUnit } from '../house/eachUnit'
import { machine } from '../house/machine.mjs'
import { writeDocs } from '../house/page'
import { answer } from '../house/threads'
import { isolationPage } from './page'
import { isolationOf, type UnitIsolation } from './unitIsolation'

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: { threads: { type: 'string', default: String(availableParallelism()) } },
  })
  const rows = await eachUnit<UnitIsolation>(builtInUnitIds, Number(values.threads))
  writeDocs('isolation.json', `${JSON.stringify({ machine, rows }, null, 2)}\n`)
  writeDocs('isolation.md', isolationPage(rows))
  console.log('written to docs/isolation.md, docs/isolation.json')
}

if (isMainThread) await main()
else answer<string, UnitIsolation>(isolationOf)
