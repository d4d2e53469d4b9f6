// npm run world: how the diagnosis fares on units that are not like their drawing; writes docs/world.*
import { readFileSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread } from 'node:worker_threads'
import { schools, type School } from '@jokulgale/core/diagnosis/schools'
import { builtInUnitIds } from '@jokulgale/core/units/index'
import { machine } from '../house/machine.mjs'
import { writeDocs } from '../house/page'
import { answer, onThreads } from '../house/threads'
import { worldPage } from './page'
import { allOfThese, worldSorts } from './worldSorts'
import { worldTrials, type WorldResult, type WorldTask } from './worldTrials'

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      best: { type: 'string', default: '100' },
      each: { type: 'string', default: '25' },
      seed: { type: 'string', default: '480' },
      units: { type: 'string', default: builtInUnitIds.join(',') },
      only: { type: 'string' },
      keep: { type: 'boolean', default: false },
      threads: { type: 'string', default: String(availableParallelism()) },
    },
  })
  const units = values.units.split(',')
  const only = values.only?.split(';')
  const seed = Number(values.seed)
  const task = (unit: string, condition: string, school: School): WorldTask => ({
    unit,
    condition,
    school,
    searches: Number(condition === allOfThese.words && school === 'best' ? values.best : values.each),
    seed,
  })
  const tasks = units.flatMap((unit) =>
    [
      ...worldSorts.map(({ words }) => task(unit, words, 'best')),
      ...schools.filter((school) => school !== 'best').map((school) => task(unit, allOfThese.words, school)),
    ].filter(({ condition }) => !only || only.includes(condition)),
  )
  const results: WorldResult[] = values.keep ? keptResults().filter((kept) => tasks.some(isSame(kept))) : []
  const open = tasks.filter((one) => !results.some(isSame(one)))
  // one task a unit: a thread keeps the unit solved for all of its worlds
  const byUnit = units.map((unit) => open.filter((one) => one.unit === unit)).filter((own) => own.length > 0)
  await onThreads<readonly WorldTask[], readonly WorldResult[]>(
    byUnit,
    Number(values.threads),
    ([{ unit }], done) => {
      results.push(...done)
      const inOrder = units.flatMap((id) => results.filter((result) => result.unit === id))
      writeDocs('world.json', `${JSON.stringify({ machine, seed, results: inOrder })}\n`)
      writeDocs('world.md', worldPage(inOrder, seed))
      console.log(unit)
    },
  )
  console.log('written to docs/world.md, docs/world.json')
}

/** With --keep: what a run found that was stopped. */
const keptResults = (): readonly WorldResult[] => JSON.parse(readFileSync('docs/world.json', 'utf8')).results

const isSame =
  (a: WorldTask) =>
  (b: WorldTask): boolean =>
    a.unit === b.unit &&
    a.condition === b.condition &&
    a.school === b.school &&
    a.searches === b.searches &&
    a.seed === b.seed

if (isMainThread) await main()
else answer<readonly WorldTask[], readonly WorldResult[]>((tasks) => tasks.map(worldTrials))
