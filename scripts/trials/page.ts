import { schools } from '@jokulgale/core/diagnosis/schools'
import { machine } from '../house/machine.mjs'
import { table } from '../house/page'
import type { ReliabilityRow } from './reliability'
import type { Extent, UnitTrials } from './unitTrials'

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`

/** What all trials of all units say, in Markdown. */
export function page(
  rows: readonly UnitTrials[],
  calibration: readonly ReliabilityRow[],
  { each, schools: schoolEach, pairs, seed }: Extent,
): string {
  const overall = (pick: (row: UnitTrials) => number): number =>
    rows.reduce((sum, row) => sum + pick(row), 0) / rows.length
  const seconds = overall((row) => row.seconds) * rows.length
  return `# How well it searches

By \`npm run trials -- --each ${each} --schools ${schoolEach} --pairs ${pairs} --seed ${seed}\` on ${machine}, in ${(seconds / 60).toFixed(0)} minutes of one core. Faults are put into the solved circuit; what is asked for is read off it. How many readings every single fault takes, with all costs equal: [isolation.md](isolation.md).

## Noise and blunders

${each} units a kind with a fault drawn from the prior (healthy ones among them), the usual complaint for it, real costs, meter readings only; until one class has 95 % or nothing more is to be told. Noise: normal, the meter's stated accuracy as two standard deviations, and 1.2 % (ohms 3 %) for what this unit is not like its diagram. Blunders: 3 % of readings, in equal parts a neighbouring terminal, a wrong function, a wrong call, an open lead; drawn without the likelihood's own model. Right: the leader is the fault, or of its class.

${table(
  ['unit', 'exact: right', 'readings', 'noisy: right', 'readings', 'noisy ÷ exact'],
  [
    ...rows.map(({ id, exact, noisy }) => [
      id,
      percent(exact.right),
      exact.readings.toFixed(1),
      percent(noisy.right),
      noisy.readings.toFixed(1),
      (noisy.readings / exact.readings).toFixed(2),
    ]),
    [
      'all',
      percent(overall(({ exact }) => exact.right)),
      overall(({ exact }) => exact.readings).toFixed(1),
      percent(overall(({ noisy }) => noisy.right)),
      overall(({ noisy }) => noisy.readings).toFixed(1),
      (overall(({ noisy }) => noisy.readings) / overall(({ exact }) => exact.readings)).toFixed(2),
    ],
  ],
)}

## Real costs, by school

Mean cost of a search in seconds, risk and reach counted in, readings and looks, exact; the same ${schoolEach} faults a unit for every school.

${table(
  ['unit', ...schools],
  rows
    .map(({ id, bySchool }) => [
      id,
      ...schools.map(
        (school) => `${bySchool[school].cost.toFixed(0)} s, ${bySchool[school].readings.toFixed(1)} steps`,
      ),
    ])
    .concat([
      [
        'all',
        ...schools.map(
          (school) =>
            `${overall(({ bySchool }) => bySchool[school].cost).toFixed(0)} s, right ${percent(overall(({ bySchool }) => bySchool[school].right))}`,
        ),
      ],
    ]),
)}

## Two faults

Random pairs of faults that some reading can see, by readings and looks, repaired one after the other, at most four repairs${pairs === 0 ? '; tried in the run before this one' : ''}. Where nothing more is suspected, the proof sheet is read, and the search goes on for what it shows. Found: a suspect of the fault’s class is repaired.

${table(['unit', 'pairs', 'both found', 'steps', 'readings in proof'], [...rows.map(({ id, pairs: tried, pairsFound, pairSteps, proofReadings }) => [id, tried, percent(pairsFound), pairSteps.toFixed(1), proofReadings.toFixed(1)]), ['all', rows.reduce((sum, row) => sum + row.pairs, 0), percent(overall(({ pairsFound }) => pairsFound)), overall(({ pairSteps }) => pairSteps).toFixed(1), overall(({ proofReadings }) => proofReadings).toFixed(1)]])}

## Calibration

Every class given 2 % or more after each step of the noisy trials, and how often it was the true one. What the members of a class are given counts together: no reading parts them.

${table(
  ['given', 'how many', 'mean given', 'right'],
  calibration.map(({ from, given, mean: middle, right }) => [
    `${Math.round(100 * from)}–${Math.round(100 * from) + 10} %`,
    given,
    given > 0 ? percent(middle) : '–',
    given > 0 ? percent(right) : '–',
  ]),
)}

![Share that was right, by the probability given](reliability.svg)
`
}
