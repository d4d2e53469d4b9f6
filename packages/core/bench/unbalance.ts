import { amps, volts } from './inputs'
import { phasorPicture } from './phasors'
import { atParts, legVolts } from './unitPlaces'
import { benchTool, percent, shown, type Level } from './tool'

/** Largest distance from the mean, as a share of the mean (NEMA MG-1, 14.36). */
export function unbalanceOf(values: readonly number[]): { readonly mean: number; readonly share: number } {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return { mean, share: Math.max(...values.map((value) => Math.abs(value - mean))) / mean }
}

/** Points of the derating curve of MG-1: unbalance in per cent → share of rated power. */
const derating = [
  [1, 1],
  [2, 0.95],
  [3, 0.88],
  [4, 0.82],
  [5, 0.75],
] as const

/**
 * Share of its power that a motor may give at an unbalance; null above five per cent, where it must not run.
 */
export function deratingAt(unbalancePercent: number): number | null {
  if (unbalancePercent <= 1) return 1
  const k = derating.findIndex(([at]) => unbalancePercent <= at)
  if (k < 0) return null
  const [from, a] = derating[k - 1]
  const [to, b] = derating[k]
  return a + ((b - a) * (unbalancePercent - from)) / (to - from)
}

/** Current unbalance is so many times that of the volts: above it the motor has a trouble of its own. */
const usualRatio = { least: 6, most: 10 } as const

export const unbalance = benchTool({
  id: 'unbalance',
  title: 'Three legs: unbalance',
  group: 'Three phases',
  use: 'Are the legs too far from one another for a motor, and is it the supply or the motor?',
  source: 'NEMA MG-1, 14.36: largest deviation from the average over the average',
  example: { voltsA: 203, voltsB: 209, voltsC: 212 },
  inputs: { voltsA: volts('Volts L1–L2'), voltsB: volts('Volts L2–L3'), voltsC: volts('Volts L3–L1') },
  extras: { ampsA: amps('Amps L1'), ampsB: amps('Amps L2'), ampsC: amps('Amps L3') },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const readings = legVolts(part)
      return readings ? { readings, known: {} } : null
    }),
  check: ({ voltsA, voltsB, voltsC }) =>
    voltsA + voltsB + voltsC === 0
      ? [{ input: 'voltsA', message: 'no leg has any volts: there is nothing to compare' }]
      : [],
  find: ({ voltsA, voltsB, voltsC, ampsA, ampsB, ampsC }) => {
    const { mean, share } = unbalanceOf([voltsA, voltsB, voltsC])
    const power = deratingAt(100 * share)
    const currents = [ampsA, ampsB, ampsC].filter((value) => value !== undefined)
    const current = currents.length === 3 && Math.max(...currents) > 0 ? unbalanceOf(currents) : null
    const ownTrouble = current !== null && current.share > usualRatio.most * Math.max(share, 0.005)
    const level: Level = power === null || ownTrouble ? 'act' : share > 0.01 ? 'watch' : 'good'
    const words =
      power === null
        ? 'More than 5 %: the motor must not run until the supply is right.'
        : ownTrouble
          ? 'The currents are further apart than the volts explain: turn the leads to see whether it goes with the motor.'
          : share > 0.01
            ? `Above 1 %: the motor may give ${percent(power, 0)} of its power and runs hotter.`
            : 'Within 1 %: the legs are even enough.'
    const picture = phasorPicture(voltsA, voltsB, voltsC)
    return {
      level,
      words,
      ...(picture ? { picture } : {}),
      lines: [
        { what: 'Average', value: shown(mean, 'V') },
        { what: 'Unbalance of the volts', value: percent(share, 2) },
        // above five per cent it must not run at all: nothing is said of how it would
        ...(power === null
          ? []
          : [
              { what: 'Power it may give', value: percent(power, 0) },
              { what: 'Windings hotter by about', value: percent(2 * (100 * share) ** 2 * 0.01, 0) },
            ]),
        ...(current
          ? [
              { what: 'Unbalance of the currents', value: percent(current.share, 1) },
              {
                what: 'Usual for these volts',
                value: `${percent(usualRatio.least * share, 0)} to ${percent(usualRatio.most * share, 0)}`,
              },
            ]
          : []),
      ],
    }
  },
})
