import { directVolts, shareOf } from './inputs'
import { atParts, branchEnds } from './unitPlaces'
import { benchTool, percent } from './tool'

/** A damper is where it is told within so much of its travel. */
const nearEnough = 0.12

export const damperCommand = benchTool({
  id: 'damper-command',
  title: 'Damper: command and position',
  group: 'Economizer',
  use: 'What is the damper told to do, and does it do it?',
  source: 'Actuators of 2–10 V dc, or 0–10: shut at the low end, open at 10 V',
  caution: 'Fingers out of the linkage while it has power.',
  example: { signal: 10, open: 20 },
  inputs: { signal: directVolts('Signal at the actuator'), open: shareOf('Seen open') },
  extras: {
    low: { ...directVolts('Shut at'), usual: 2 },
    minimum: shareOf('Minimum position it is set to'),
  },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const signal = branchEnds(part, ({ name, role }) => name === 'signal' && role !== 'output')
      return signal && { known: {}, readings: { signal: { meter: 'dc', ...signal } } }
    }),
  check: ({ low = 2 }) => (low < 10 ? [] : [{ input: 'low', message: 'shut is below 10 V' }]),
  find: ({ signal, open, low = 2, minimum }) => {
    const told = Math.min(1, Math.max(0, (signal - low) / (10 - low)))
    const seen = open / 100
    const lines = [
      { what: 'Told to open', value: percent(told, 0) },
      { what: 'Seen open', value: percent(seen, 0) },
    ]
    if (signal < low - 0.5)
      return {
        level: 'act',
        words: 'No command: the controller is dead, or a lead of the pair is off or crossed.',
        lines,
      }
    if (Math.abs(told - seen) > nearEnough)
      return {
        level: 'act',
        words: 'It is not where it is told: linkage, a stuck blade, or the actuator.',
        lines,
      }
    return minimum !== undefined && told < minimum / 100 - nearEnough
      ? {
          level: 'watch',
          words: 'It obeys, below its minimum: is the blower running, and the unit occupied?',
          lines,
        }
      : { level: 'good', words: 'It obeys.', lines }
  },
})
