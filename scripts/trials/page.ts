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

By \`npm run trials -- --each ${each} --schools ${schoolEach} --pairs ${pairs} --seed ${seed}\` on ${machine}, in ${(seconds / 60).toFixed(0)} minutes of one core. Faults are put into the solved circuit; what is asked for is read off it.

## Every single fault, meter readings only, all costs equal

Prior-weighted mean readings to the end. A class is a group that no reading of any call, and no ohms isolated, can part. *Display*: exact readings to the last count of the display. *Tolerance*: readings that a person with an ordinary meter can safely tell apart. Bound: the optimal tree with as many branches as the most outcomes any one reading of the unit has (in brackets); few readings have more than two; what they really allow is worked out in [how few readings can do](limits.md). *Best* plays out the eight most telling readings and takes the one after which the fewest are left. Walking is the same hunt hop by hop.

${table(
  [
    'unit',
    'faults',
    'display: classes',
    'entropy, bits',
    'bound (outcomes)',
    'best',
    '(best − 0.5) ÷ bound',
    'best ÷ walk',
    'tolerance: classes',
    'entropy, bits',
    'bound (outcomes)',
    'best',
    'best ÷ entropy',
    'walk',
    'split',
    'pull',
    'usual',
    'best ÷ walk',
  ],
  rows.map(({ id, isolation: { best, walk, split, pull, usual }, display, displayWalk }) => [
    id,
    best.faults,
    display.classes,
    display.entropyBits.toFixed(2),
    `${display.boundReadings.toFixed(2)} (${display.mostOutcomes})`,
    display.meanReadings.toFixed(2),
    ((display.meanReadings - 0.5) / display.boundReadings).toFixed(2),
    (display.meanReadings / displayWalk.meanReadings).toFixed(2),
    best.classes,
    best.entropyBits.toFixed(2),
    `${best.boundReadings.toFixed(2)} (${best.mostOutcomes})`,
    best.meanReadings.toFixed(2),
    (best.meanReadings / best.entropyBits).toFixed(2),
    walk.meanReadings.toFixed(1),
    split.meanReadings.toFixed(1),
    pull.meanReadings.toFixed(1),
    usual.meanReadings.toFixed(1),
    (best.meanReadings / walk.meanReadings).toFixed(2),
  ]),
)}

Every fault ends in its own class under every policy: with exact readings the play follows the true branch by construction.

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
