import { amps, volts } from './inputs'
import { phasorPicture } from './phasors'
import { atParts, legAmps, legVolts } from './unitPlaces'
import { benchTool, percent, shown, type Verdict } from './tool'

/** A leg with less than this share of the others’ current is lost. */
const lostBelow = 0.1
/** A motor that turns makes so much of its dead leg that a meter calls it live. */
const looksLive = 0.75
/** Legs within so much of each other say nothing. */
const evenWithin = 0.25

const legs = ['L1', 'L2', 'L3'] as const

export const lostLeg = benchTool({
  id: 'lost-leg',
  title: 'A lost leg behind volts that a motor makes',
  group: 'Three phases',
  use: 'All three legs show volts, and something hums, trips or runs hot: does each of them carry its current?',
  source:
    'A motor that still turns with a leg lost makes nearly all of that leg’s volts itself; the leg carries no current',
  caution: 'A motor on two legs burns: read, then stop it.',
  example: { voltsA: 478, voltsB: 441, voltsC: 436, ampsA: 17.2, ampsB: 17.5, ampsC: 0.2 },
  inputs: {
    voltsA: volts('Volts L1–L2'),
    voltsB: volts('Volts L2–L3'),
    voltsC: volts('Volts L3–L1'),
    ampsA: amps('Amps L1'),
    ampsB: amps('Amps L2'),
    ampsC: amps('Amps L3'),
  },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const atPoles = legVolts(part)
      const atMotor = legAmps(diagram, part)
      const readings = atPoles ?? atMotor
      return readings && { readings, known: {} }
    }),
  check: ({ ampsA, ampsB, ampsC }) =>
    Math.max(ampsA, ampsB, ampsC) === 0
      ? [{ input: 'ampsA', message: 'nothing draws: it does not run, and its legs say nothing' }]
      : [],
  find: ({ voltsA, voltsB, voltsC, ampsA, ampsB, ampsC }): Verdict => {
    const currents = [ampsA, ampsB, ampsC]
    const across = [voltsA, voltsB, voltsC]
    const most = Math.max(...currents)
    const lost = legs.filter((_, k) => currents[k] < lostBelow * most)
    const least = Math.min(...across) / Math.max(...across, 1)
    const picture = phasorPicture(voltsA, voltsB, voltsC)
    const facts = {
      ...(picture ? { picture } : {}),
      lines: [
        ...legs.map((what, k) => ({ what: `Amps ${what}`, value: shown(currents[k], 'A') })),
        { what: 'Lowest volts of the highest', value: percent(least, 0) },
      ],
    }
    if (lost.length > 1)
      return {
        level: 'act',
        words: `${lost.join(' and ')} carry next to nothing: this is no three-phase load that runs.`,
        ...facts,
      }
    if (lost.length === 1)
      return {
        level: 'act',
        words:
          least > looksLive
            ? `${lost[0]} is lost, and the motor makes its volts: stop it, and read that leg with nothing running.`
            : `${lost[0]} is lost. Stop it, and follow that leg back to where its volts end.`,
        ...facts,
      }
    return Math.min(...currents) < (1 - evenWithin) * most
      ? {
          level: 'watch',
          words: 'No leg is lost, but they are uneven: turn the leads to see with what it goes.',
          ...facts,
        }
      : { level: 'good', words: 'Every leg carries its current: none is lost.', ...facts }
  },
})
