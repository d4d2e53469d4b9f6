import { schools } from '@jokulgale/core/diagnosis/schools'
import { machine } from '../house/machine.mjs'
import { table } from '../house/page'
import { together, type ReliabilityRow } from '../trials/reliability'
import { allOfThese, asDrawnSort, nothingSaid, worldSorts, type WorldSort } from './worldSorts'
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

const meanOf = (numbers: readonly number[]): number =>
  numbers.reduce((sum, number) => sum + number, 0) / Math.max(1, numbers.length)

/** The mean of differences and the standard error of it. */
function differenceWords(pairs: readonly (readonly [number, number])[]): string {
  const differences = pairs.map(([a, b]) => a - b)
  const mean = meanOf(differences)
  const variance = meanOf(differences.map((difference) => (difference - mean) ** 2))
  const error = Math.sqrt(variance / Math.max(1, differences.length - 1))
  return `${mean.toFixed(2)} steps (standard error ${error.toFixed(2)}, ${pairs.length} searches)`
}

/** The steps of the same searches in two sorts of world, as far as both were made. */
const stepPairs = (
  results: readonly WorldResult[],
  one: WorldSort,
  other: WorldSort,
): readonly (readonly [number, number])[] =>
  results
    .filter(({ condition }) => condition === one.words)
    .flatMap((a) => {
      const b = results.find(({ unit, condition }) => unit === a.unit && condition === other.words)
      return (b?.steps ?? []).flatMap((steps, k) =>
        k < a.steps.length ? [[a.steps[k], steps] as const] : [],
      )
    })

/** How many times the steps of the exact world are taken in the one that is all unlike. */
function ratio(results: readonly WorldResult[]): string {
  const pairs = stepPairs(results, allOfThese, asDrawnSort)
  return (meanOf(pairs.map(([a]) => a)) / Math.max(1, meanOf(pairs.map(([, b]) => b)))).toFixed(2)
}

const calibrationRows = (rows: readonly ReliabilityRow[]): readonly (readonly (string | number)[])[] =>
  rows.map(({ from, given, mean, right }) => [
    `${from.toFixed(1)} to ${(from + 0.1).toFixed(1)}`,
    given,
    `${(100 * mean).toFixed(1)} %`,
    `${(100 * right).toFixed(1)} %`,
    (100 * (right - mean)).toFixed(1),
  ])

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
    meanOf(results.flatMap(({ steps }) => steps)).toFixed(1),
  ]
}

/** The page of what was found, as measured. */
export function worldPage(results: readonly WorldResult[], seed: number): string {
  const best = results.filter(({ school }) => school === 'best')
  const made = new Set(best.map(({ condition }) => condition))
  const conditions = worldSorts.map(({ words }) => words).filter((words) => made.has(words))
  const units = [...new Set(results.map(({ unit }) => unit))]
  const all = (of: string): readonly WorldResult[] => best.filter(({ condition }) => condition === of)
  return `# In a world that is not like the drawing

Written by \`npm run world\` (seed ${seed}) on ${machine}. Faults are drawn by their rates on units whose supply, plates,
loads, resistances and readings are unlike what the diagnosis has of them, and nothing of that is told to it
(\`packages/core/world\`); a fault for which nothing fails in any call is drawn anew: nobody would have called. A search
follows its proposals, lifts leads, pulls plugs, joins for a moment and begins calls anew where they say so,
until a class has 0.98, its suspect was met at itself, the reading that it hangs on was taken twice where that
is asked for, and nothing tells much between those that no plain reading parts; or until nothing more tells.
Intervals are of 95 % (Wilson). Of one seed every world has the same faults, as far as they show in it, and
each unit others.

Of two and of three faults, each of which somebody would have called for, one suspect after another is
repaired and the calls are proven, until none fails; *wrong* is that something good was taken out which had
0.9. What nobody drew is an added switch, a part passed by, a lead on another terminal, another transformer,
a coil or a heater of another size, each as often; *right* is that *something not as drawn* leads at the end,
or that the suspect in the lead, or one of its class with a tenth of it, is at the same wire or part, or
between the same two conductors, through their connectors. A fault that comes and goes is mostly as it was at
the reading before; while it is away its dirt stays, and what its switch watches has come back. A visit is of
one day: in every call the weather is that of the call which was complained of.

## What is unlike, alone and together

${table(
  head,
  conditions.map((condition) => row(condition, all(condition))),
)}

## What one is worth against another

As drawn and with all of these, the same searches:
${differenceWords(stepPairs(best, allOfThese, asDrawnSort))} more where all is unlike,
${ratio(best)} times as many. With what fails said and not said:
${differenceWords(stepPairs(best, allOfThese, nothingSaid))} more where it is said.

## What suspects were given, and how often it was they

Every class that was given two in a hundred or more, after every step of the searches for one fault with all
of these.

${table(
  ['given', 'times', 'mean given', 'was it', 'points apart'],
  calibrationRows(together(all(allOfThese.words).map(({ calibration }) => calibration))),
)}

## By school, with all of it

${table(
  head,
  schools.map((school) =>
    row(
      school,
      results.filter((result) => result.school === school && result.condition === allOfThese.words),
    ),
  ),
)}

## By unit, with all of it

${table(
  head,
  units.map((unit) =>
    row(
      unit,
      all(allOfThese.words).filter((result) => result.unit === unit),
    ),
  ),
)}
`
}
