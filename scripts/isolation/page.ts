import { machine } from '../house/machine.mjs'
import { table } from '../house/page'
import type { UnitIsolation } from './unitIsolation'

/** How every single fault of the units is found, in Markdown. */
export function isolationPage(rows: readonly UnitIsolation[]): string {
  const minutes = rows.reduce((sum, { seconds }) => sum + seconds, 0) / 60
  const within = rows.filter(({ tolerance: { best } }) => best.meanReadings <= best.entropyBits)
  return `# Every single fault, by meter readings alone

By \`npm run isolation\` on ${machine}, in ${minutes.toFixed(0)} minutes of one core. All costs equal, readings exact, no looks, nothing done to the unit; readings to the end, in the mean over the faults by their priors.

What no reading of any call, and no ohms isolated, tells from a unit with nothing wrong is left out (*quiet*): a guard that somebody has bridged, a valve that sticks where it stands. It is named as not covered, and not hunted. A class is a group of the others that no reading parts. Bound: the optimal tree with as many branches as the most outcomes any one reading of the unit has (in brackets); few readings have more than two; what they really allow is worked out in [how few readings can do](limits.md). *Best* plays out the eight most telling readings and takes the one after which the fewest are left; the others are what people do: hop by hop, halving the path, plug by plug, the usual place first.

## What a person can safely tell apart

Of ${rows.length} units, ${within.length} take no more readings than their classes have bits.

${table(
  [
    'unit',
    'faults',
    'quiet (share)',
    'classes',
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
  rows.map(({ id, tolerance: { best, walk, split, pull, usual } }) => [
    id,
    best.faults,
    `${best.quiet} (${(100 * best.quietShare).toFixed(1)} %)`,
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

## To the last count of the display

${table(
  [
    'unit',
    'faults',
    'quiet',
    'classes',
    'entropy, bits',
    'bound (outcomes)',
    'best',
    'best ÷ entropy',
    'best ÷ walk',
  ],
  rows.map(({ id, display: { best, walk } }) => [
    id,
    best.faults,
    best.quiet,
    best.classes,
    best.entropyBits.toFixed(2),
    `${best.boundReadings.toFixed(2)} (${best.mostOutcomes})`,
    best.meanReadings.toFixed(2),
    (best.meanReadings / best.entropyBits).toFixed(2),
    (best.meanReadings / walk.meanReadings).toFixed(2),
  ]),
)}

Every fault ends in its own class under every policy: with exact readings the play follows the true branch by construction.
`
}
