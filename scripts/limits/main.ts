// npm run limits: how few readings any procedure can do with on the units, proved; writes docs/limits.*
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread } from 'node:worker_threads'
import { builtInUnitIds } from '@jokulgale/core/units/index'
import { eachUnit } from '../house/eachUnit'
import { machine } from '../house/machine.mjs'
import { table, writeDocs } from '../house/page'
import { answer } from '../house/threads'
import { limitsOf, type UnitLimits } from './unitLimits'

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      units: { type: 'string', default: builtInUnitIds.join(',') },
      threads: { type: 'string', default: String(availableParallelism()) },
    },
  })
  const rows = await eachUnit<UnitLimits>(values.units.split(','), Number(values.threads))
  writeDocs('limits.json', `${JSON.stringify({ machine, rows }, null, 2)}\n`)
  writeDocs('limits.md', page(rows))
  console.log('written to docs/limits.md, docs/limits.json')
}

const wanted = (bound: number): number => 1.15 * bound + 0.5

const page = (rows: readonly UnitLimits[]): string => `# How few readings can do

By \`npm run limits\` on ${machine}, in ${(rows.reduce((sum, { seconds }) => sum + seconds, 0) / 60).toFixed(0)} minutes of one core.

Every single fault of a unit that shows in any reading is to be told from all others by meter readings alone, all costs equal, as a person can safely tell readings apart ([isolation](isolation.md)). The bound of the optimal tree gives every reading as many branches as the one reading that has the most (*outcomes*): 1.15 of it and half a reading is what one would like to stay under. Here it is worked out what the readings of the unit really allow. Over every first reading, every second for each of its outcomes, and every third: the greatest share of the faults, by prior, that can be singled out so far. What is left needs another reading, whichever procedure is followed; so the sum of what is left after 0, 1, 2 and 3 readings is a number that the mean of no procedure can be below (*least*; further readings are not even counted). After three a share under 0.30 is not looked for, and counts as 0.30.

${table(
  [
    'unit',
    'classes',
    'different readings',
    'outcomes',
    'bound',
    '1.15 × bound + 0.5',
    'singled out by 1',
    'by 2',
    'by 3, at most',
    'least',
    'best, measured',
  ],
  rows.map(({ id, classes, readings, outcomes, boundReadings, least, bestReadings }) => [
    id,
    classes,
    readings,
    outcomes,
    boundReadings.toFixed(2),
    wanted(boundReadings).toFixed(2),
    ...least.singledOut.slice(1).map((share) => share.toFixed(3)),
    least.meanReadings.toFixed(2),
    bestReadings.toFixed(2),
  ]),
)}

On ${rows.filter(({ boundReadings, least }) => least.meanReadings > wanted(boundReadings)).length} of ${rows.length} units *least* is above 1.15 × bound + 0.5: no procedure with these readings stays under that, however good it is.
`

if (isMainThread) await main()
else answer(limitsOf)
