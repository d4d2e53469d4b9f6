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
      /** Sorts of world, by their words, with semicolons between. */
      only: { type: 'string' },
      schools: { type: 'string', default: schools.join(',') },
      keep: { type: 'boolean', default: false },
      threads: { type: 'string', default: String(availableParallelism()) },
    },
  })
  const units = values.units.split(',')
  const only = values.only?.split(';')
  const asked = values.schools.split(',')
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
    ].filter(({ condition, school }) => (!only || only.includes(condition)) && asked.includes(school)),
  )
  const kept = values.keep ? keptResults().filter((result) => result.seed === seed) : []
  const open = tasks.filter(
    (one) => !kept.some((result) => isAlike(result)(one) && result.searches === one.searches),
  )
  const results: WorldResult[] = kept.filter((result) => !open.some(isAlike(result)))
  // one task a unit: a thread keeps the unit solved for all of its worlds
  const byUnit = units.map((unit) => open.filter((one) => one.unit === unit)).filter((own) => own.length > 0)
  const write = (): void => {
    const inOrder = builtInUnitIds.flatMap((id) => results.filter((result) => result.unit === id))
    writeDocs('world.json', `${JSON.stringify({ machine, seed, results: inOrder })}\n`)
    writeDocs('world.md', worldPage(inOrder, seed))
  }
  await onThreads<readonly WorldTask[], readonly WorldResult[]>(
    byUnit,
    Number(values.threads),
    ([{ unit }], done) => {
      results.push(...done)
      write()
      console.log(unit)
    },
  )
  write()
  console.log('written to docs/world.md, docs/world.json')
}

/** With --keep: what runs before this one found, one that was stopped among them. */
const keptResults = (): readonly WorldResult[] => JSON.parse(readFileSync('docs/world.json', 'utf8')).results

const isAlike =
  (a: WorldTask) =>
  (b: WorldTask): boolean =>
    a.unit === b.unit && a.condition === b.condition && a.school === b.school

if (isMainThread) await main()
else answer<readonly WorldTask[], readonly WorldResult[]>((tasks) => tasks.map(worldTrials))
