import { schools } from '@jokulgale/core/diagnosis/schools'
import { machine } from '../house/machine.mjs'
import { table } from '../house/page'
import type { WorldResult } from './worldTrials'

/** A share with its 95 % interval (Wilson 1927), in hundredths. */
export function shareWords(part: number, whole: number): string {
  if (whole === 0) return '–'
  const z = 1.96
  const share = part / whole
  const middle = (share + z ** 2 / (2 * whole)) / (1 + z ** 2 / whole)
  const half =
    (z * Math.sqrt((share * (1 - share)) / whole + z ** 2 / (4 * whole ** 2))) / (1 + z ** 2 / whole)
  const percent = (value: number): string => (100 * Math.max(0, value)).toFixed(1)
  return `${percent(share)} % (${percent(middle - half)}–${percent(Math.min(1, middle + half))})`
}

const head = [
  '',
  'searches',
  'right at the end',
  'confident (0.9) and wrong',
  'right when first at 0.8',
  'steps',
]

const row = (name: string, results: readonly WorldResult[]): readonly (string | number)[] => {
  const sum = (of: (result: WorldResult) => number): number =>
    results.reduce((total, result) => total + of(result), 0)
  const searches = sum((result) => result.searches)
  return [
    name,
    searches,
    shareWords(
      sum(({ right }) => right),
      searches,
    ),
    shareWords(
      sum(({ confidentAndWrong }) => confidentAndWrong),
      searches,
    ),
    shareWords(
      sum(({ rightWhenActing }) => rightWhenActing),
      sum(({ acted }) => acted),
    ),
    (sum(({ steps }) => steps) / Math.max(1, searches)).toFixed(1),
  ]
}

/** The page of what was found, as measured. */
export function worldPage(results: readonly WorldResult[], seed: number): string {
  const best = results.filter(({ school }) => school === 'best')
  const conditions = [...new Set(best.map(({ condition }) => condition))]
  const units = [...new Set(results.map(({ unit }) => unit))]
  const all = (of: string): readonly WorldResult[] => best.filter(({ condition }) => condition === of)
  return `# In a world that is not like the drawing

Written by \`npm run world\` (seed ${seed}) on ${machine}. Faults are drawn by their rates on units whose supply, plates,
loads, resistances and readings are unlike what the diagnosis has of them, and nothing of that is told to it
(\`packages/core/world\`); a fault for which nothing fails in any call is drawn anew: nobody would have called. A search
follows its proposals, lifts leads, pulls plugs, joins for a moment and begins calls anew where they say so,
until a class has 0.98, and the reading that it hangs on was taken twice where that is asked for, or nothing
more tells. Intervals are of 95 % (Wilson).

## What is unlike, alone and together

${table(
  head,
  conditions.map((condition) => row(condition, all(condition))),
)}

## By school, with all of it

${table(
  head,
  schools.map((school) =>
    row(
      school,
      results.filter((result) => result.school === school && result.condition === 'all of these'),
    ),
  ),
)}

## By unit, with all of it

${table(
  head,
  units.map((unit) =>
    row(
      unit,
      all('all of these').filter((result) => result.unit === unit),
    ),
  ),
)}
`
}
