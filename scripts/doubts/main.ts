// npm run doubts: every reading of every built-in unit, in every call and isolated, under every single fault at each
// of its resistances: what the pad would say that nothing gives. Exits with 1 when there is any.
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread } from 'node:worker_threads'
import { isolatedCandidates, liveCandidates } from '@jokulgale/core/diagnosis/candidates'
import { judge } from '@jokulgale/core/diagnosis/diagnose'
import { wronglyDoubted } from '@jokulgale/core/diagnosis/wronglyDoubted'
import { builtInUnit, builtInUnitIds } from '@jokulgale/core/units/index'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { answer, onThreads } from '../house/threads'

interface Task {
  readonly unit: string
  /** One place of so many is read, another one in each call. */
  readonly every: number
}

interface Gone {
  readonly places: number
  readonly wrong: readonly string[]
}

/** All the places of a unit where anything is read, in each of its calls and isolated. */
function through({ unit, every }: Task): Gone {
  const diagram = builtInUnit(unit)
  const standings = [
    ...diagram.calls.map(({ id }) => ({ call: id, power: 'on' as const })),
    { call: diagram.calls[0].id, power: 'isolated' as const },
  ]
  const wrong: string[] = []
  let places = 0
  for (const [k, { call, power }] of standings.entries()) {
    const entries: readonly EntryBody[] = [
      { kind: 'call', call },
      { kind: 'power', is: power },
    ]
    const judgement = judge(diagram, { complaint: '', entries })
    const candidates = power === 'on' ? liveCandidates(diagram) : isolatedCandidates(diagram)
    for (const { meter, from, to } of candidates.filter((_, at) => at % every === k % every)) {
      places += 1
      for (const { fault, ohms, value } of wronglyDoubted(judgement, meter, from, to))
        wrong.push(
          `${unit}, ${call}, ${power}: ${meter} ${from} ${to} ${value ?? 'OL'} by ${fault} (${ohms})`,
        )
    }
  }
  return { places, wrong }
}

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      units: { type: 'string', default: builtInUnitIds.join(',') },
      every: { type: 'string', default: '1' },
      threads: { type: 'string', default: String(availableParallelism()) },
    },
  })
  const tasks = values.units.split(',').map((unit): Task => ({ unit, every: Number(values.every) }))
  let places = 0
  let doubted = 0
  await onThreads<Task, Gone>(tasks, Number(values.threads), ({ unit }, gone) => {
    places += gone.places
    doubted += gone.wrong.length
    console.log(`${unit}: ${gone.places} readings, ${gone.wrong.length} doubted`)
    for (const line of gone.wrong) console.log(`  ${line}`)
  })
  console.log(`${places} readings under every single fault, ${doubted} values doubted that a fault gives`)
  process.exitCode = doubted === 0 ? 0 : 1
}

if (isMainThread) await main()
else answer<Task, Gone>(through)
