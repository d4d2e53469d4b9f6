// npm run world: how the diagnosis fares on units that are not like their drawing; writes docs/world.*
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread } from 'node:worker_threads'
import { schools } from '@jokulgale/core/diagnosis/schools'
import { builtInUnitIds } from '@jokulgale/core/units/index'
import { everythingUnlike, type Unlikeness } from '@jokulgale/core/world/siteUnit'
import { machine } from '../house/machine.mjs'
import { writeDocs } from '../house/page'
import { answer, onThreads } from '../house/threads'
import { worldPage } from './page'
import { worldTrials, type WorldResult, type WorldTask } from './worldTrials'

const asDrawn: Unlikeness = {
  supply: false,
  plates: false,
  loads: false,
  faults: false,
  weather: false,
  readings: false,
}

/** Every world, each with one thing unlike the drawing, and with all of them. */
const conditions: Readonly<Record<string, Unlikeness>> = {
  'as drawn': asDrawn,
  'supply within 6 %': { ...asDrawn, supply: true },
  'parts off their plates': { ...asDrawn, plates: true },
  'loads of 40 to 105 %': { ...asDrawn, loads: true },
  'shorts of any ohms, trips that stay, motors from rest': { ...asDrawn, faults: true },
  'weather and water of any season': { ...asDrawn, weather: true },
  'rounded, slips and blunders': { ...asDrawn, readings: true },
  'all of these': everythingUnlike,
}

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      best: { type: 'string', default: '100' },
      each: { type: 'string', default: '25' },
      seed: { type: 'string', default: '480' },
      units: { type: 'string', default: builtInUnitIds.join(',') },
      threads: { type: 'string', default: String(availableParallelism()) },
    },
  })
  const units = values.units.split(',')
  const seed = Number(values.seed)
  const task = (unit: string, over: Partial<WorldTask>): WorldTask => ({
    unit,
    condition: 'all of these',
    unlike: everythingUnlike,
    school: 'best',
    searches: Number(values.each),
    seed,
    onlyTrips: false,
    ...over,
  })
  const tasks = units.flatMap((unit) => [
    ...Object.entries(conditions).map(([condition, unlike]) =>
      task(unit, {
        condition,
        unlike,
        searches: Number(condition === 'all of these' ? values.best : values.each),
      }),
    ),
    ...schools.filter((school) => school !== 'best').map((school) => task(unit, { school })),
    task(unit, { condition: 'all of these, faults that trip', onlyTrips: true }),
  ])
  // one task a unit: a thread keeps the unit solved for all of its worlds
  const byUnit = units.map((unit) => tasks.filter((one) => one.unit === unit))
  const results: WorldResult[] = []
  await onThreads<readonly WorldTask[], readonly WorldResult[]>(
    byUnit,
    Number(values.threads),
    ([{ unit }], done) => {
      results.push(...done)
      const inOrder = units.flatMap((id) => results.filter((result) => result.unit === id))
      writeDocs('world.json', `${JSON.stringify({ machine, seed, results: inOrder }, null, 2)}\n`)
      writeDocs('world.md', worldPage(inOrder, seed))
      console.log(unit)
    },
  )
  console.log('written to docs/world.md, docs/world.json')
}

if (isMainThread) await main()
else answer<readonly WorldTask[], readonly WorldResult[]>((tasks) => tasks.map(worldTrials))
