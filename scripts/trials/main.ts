// npm run trials: how well the diagnosis searches, on units whose faults are known; writes docs/diagnosis.* and docs/reliability.svg
import { parseArgs } from 'node:util'
import { classesOf } from '@jokulgale/core/diagnosis/classes'
import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { isolateAll, policies } from '@jokulgale/core/diagnosis/isolate'
import { seeded } from '@jokulgale/core/diagnosis/noise'
import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'
import { schools } from '@jokulgale/core/diagnosis/schools'
import { complaintOf, playRepairs, playTrial, type TrialOptions } from '@jokulgale/core/diagnosis/trial'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { builtInUnitIds, builtInUnitText } from '@jokulgale/core/units/index'
import { machine } from '../house/machine.mjs'
import { table, writeDocs } from '../house/page'
import { drawOne, drawPair } from './draw'
import { Reliability, reliabilityPlot } from './reliability'

const { values } = parseArgs({ options: { each: { type: 'string', default: '40' }, pairs: { type: 'string', default: '20' }, schools: { type: 'string', default: '20' }, seed: { type: 'string', default: '480' }, units: { type: 'string', default: builtInUnitIds.join(',') } } })
const each = Number(values.each)
const pairs = Number(values.pairs)
const schoolEach = Number(values.schools)
const seed = Number(values.seed)
const reliability = new Reliability()

const mean = (numbers: readonly number[]): number => numbers.reduce((sum, n) => sum + n, 0) / Math.max(1, numbers.length)

function isRight(classes: Int32Array, lead: number, truth: number): boolean {
  return lead < classes.length && classes[lead] === classes[truth]
}

function search(model: UnitModel, classes: Int32Array, options: Omit<TrialOptions, 'random' | 'mostSteps' | 'sure'>, count = each, calibrate = false) {
  const random = seeded(seed)
  const drawn = Array.from({ length: count }, () => drawOne(model, random))
  const trials = drawn.map((truth) => ({ truth, trial: playTrial(model, truth, complaintOf(model, truth), { ...options, random, mostSteps: 60, sure: 0.95 }) }))
  if (calibrate)
    for (const { truth, trial } of trials)
      for (const { hypothesis, probability } of trial.given) reliability.add(probability, isRight(classes, hypothesis, truth))
  return {
    right: mean(trials.map(({ truth, trial }) => (isRight(classes, trial.ranked[0], truth) ? 1 : 0))),
    readings: mean(trials.map(({ trial }) => trial.steps)), cost: mean(trials.map(({ trial }) => trial.cost)),
  }
}

const rows = values.units.split(',').map((id) => {
  // read anew: what was solved of a unit goes when its turn is over
  const model = modelOf(readLadder(builtInUnitText(id)))
  const start = performance.now()
  const isolation = Object.fromEntries(policies.map((policy) => [policy, isolateAll(model, policy)]))
  const display = isolateAll(model, 'best', 'display')
  const displayWalk = isolateAll(model, 'walk', 'display')
  const classes = classesOf(model)
  const plain = { looks: false, noise: false, blunders: 0 }
  const exact = search(model, classes, plain)
  const noisy = search(model, classes, { looks: false, noise: true, blunders: 0.03 }, each, true)
  const bySchool = Object.fromEntries(schools.map((school) => [school, search(model, classes, { ...plain, looks: true, school }, schoolEach)]))
  const random = seeded(seed + 1)
  const both = Array.from({ length: pairs }, () => {
    const pair = drawPair(model, classes, random)
    return playRepairs(model, pair, complaintOf(model, pair), { random, noise: false, blunders: 0, looks: true, mostSteps: 60, sure: 0.9 })
  })
  console.log(id, `${((performance.now() - start) / 1000).toFixed(0)} s`)
  return { id, isolation, display, displayWalk, exact, noisy, bySchool, pairsFound: mean(both.map(({ all }) => (all ? 1 : 0))), pairSteps: mean(both.map(({ steps }) => steps)) }
})

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`
const overall = (pick: (row: (typeof rows)[number]) => number): number => mean(rows.map(pick))
const calibration = reliability.rows()

writeDocs('diagnosis.json', `${JSON.stringify({ machine, each, pairs, seed, rows, calibration }, null, 2)}\n`)
writeDocs('reliability.svg', reliabilityPlot(calibration))
writeDocs('diagnosis.md', `# How well it searches

By \`npm run trials -- --each ${each} --schools ${schoolEach} --pairs ${pairs} --seed ${seed}\` on ${machine}. Faults are put into the solved circuit; what is asked for is read off it.

## Every single fault, meter readings only, all costs equal

Prior-weighted mean readings to the end. A class is a group that no reading of any call, and no ohms isolated, can part. *Display*: exact readings to the last count of the display. *Tolerance*: readings that a person with an ordinary meter can safely tell apart. Bound: the optimal tree with as many branches as the most outcomes any one reading of the unit has (in brackets); few readings have more than two, so that no procedure comes near it; a mean below the entropy shows that those few are used. *Best* plays out the eight most telling readings and takes the one after which the fewest are left. Walking is the same hunt hop by hop.

${table(['unit', 'faults', 'display: classes', 'entropy, bits', 'bound (outcomes)', 'best', '(best − 0.5) ÷ bound', 'best ÷ walk', 'tolerance: classes', 'entropy, bits', 'bound (outcomes)', 'best', 'best ÷ entropy', 'walk', 'split', 'pull', 'usual', 'best ÷ walk'],
    rows.map(({ id, isolation: { best, walk, split, pull, usual }, display, displayWalk }) => [id, best.faults,
      display.classes, display.entropyBits.toFixed(2), `${display.boundReadings.toFixed(2)} (${display.mostOutcomes})`, display.meanReadings.toFixed(2), ((display.meanReadings - 0.5) / display.boundReadings).toFixed(2), (display.meanReadings / displayWalk.meanReadings).toFixed(2),
      best.classes, best.entropyBits.toFixed(2), `${best.boundReadings.toFixed(2)} (${best.mostOutcomes})`, best.meanReadings.toFixed(2), (best.meanReadings / best.entropyBits).toFixed(2), walk.meanReadings.toFixed(1), split.meanReadings.toFixed(1), pull.meanReadings.toFixed(1), usual.meanReadings.toFixed(1), (best.meanReadings / walk.meanReadings).toFixed(2)]))}

Every fault ends in its own class under every policy: with exact readings the play follows the true branch by construction.

## Noise and blunders

${each} units a kind with a fault drawn from the prior (healthy ones among them), the usual complaint for it, real costs, meter readings only; until one suspect has 95 % or nothing more is to be told. Noise: normal, the meter's stated accuracy as two standard deviations, and 1.2 % (ohms 3 %) for what this unit is not like its diagram. Blunders: 3 % of readings, in equal parts a neighbouring terminal, a wrong function, a wrong call, an open lead; drawn without the likelihood's own model. Right: the leader is the fault, or of its class.

${table(['unit', 'exact: right', 'readings', 'noisy: right', 'readings', 'noisy ÷ exact'],
    [...rows.map(({ id, exact, noisy }) => [id, percent(exact.right), exact.readings.toFixed(1), percent(noisy.right), noisy.readings.toFixed(1), (noisy.readings / exact.readings).toFixed(2)]),
      ['all', percent(overall(({ exact }) => exact.right)), overall(({ exact }) => exact.readings).toFixed(1), percent(overall(({ noisy }) => noisy.right)), overall(({ noisy }) => noisy.readings).toFixed(1), (overall(({ noisy }) => noisy.readings) / overall(({ exact }) => exact.readings)).toFixed(2)]])}

## Real costs, by school

Mean cost of a search in seconds, risk and reach counted in, readings and looks, exact; the same ${schoolEach} faults a unit for every school.

${table(['unit', ...schools], rows.map(({ id, bySchool }) => [id, ...schools.map((school) => `${bySchool[school].cost.toFixed(0)} s, ${bySchool[school].readings.toFixed(1)} steps`)]))}

## Two faults

${pairs} random pairs a unit of faults that some reading can see, readings and looks, repaired one after the other, at most four repairs.

${table(['unit', 'both found', 'steps'], [...rows.map(({ id, pairsFound, pairSteps }) => [id, percent(pairsFound), pairSteps.toFixed(1)]), ['all', percent(overall(({ pairsFound }) => pairsFound)), overall(({ pairSteps }) => pairSteps).toFixed(1)]])}

## Calibration

All suspects given 2 % or more after each step of the noisy trials, and how often they, or one of their class, were right.

${table(['given', 'how many', 'mean given', 'right'], calibration.map(({ from, given, mean: middle, right }) => [`${Math.round(100 * from)}–${Math.round(100 * from) + 10} %`, given, given > 0 ? percent(middle) : '–', given > 0 ? percent(right) : '–']))}

![Share that was right, by the probability given](reliability.svg)
`)
console.log('written to docs/diagnosis.md, docs/diagnosis.json, docs/reliability.svg')
