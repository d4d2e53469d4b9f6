import { fahrenheit } from './inputs'
import { benchTool, percent, shownIn } from './tool'

/** Each sensor is read to about so many degrees. */
const sensorError = 1
/** With less between return and outdoor air, the share says nothing. */
const leastDifference = 10

/** Share of outdoor air in the mixture. */
export const outdoorShare = (returnAir: number, mixed: number, outdoor: number): number =>
  (returnAir - mixed) / (returnAir - outdoor)

export const mixedAir = benchTool({
  id: 'mixed-air',
  title: 'Outdoor air in the mixture',
  group: 'Economizer',
  use: 'How much outdoor air comes in with the damper as it is?',
  source: 'Share = (return − mixed) / (return − outdoor); ± 1 °F on each sensor',
  example: { returnAir: 74, mixed: 66, outdoor: 48 },
  inputs: {
    returnAir: fahrenheit('Return air'),
    mixed: fahrenheit('Mixed air'),
    outdoor: fahrenheit('Outdoor air'),
  },
  find: ({ returnAir, mixed, outdoor }, units) => {
    const span = Math.abs(returnAir - outdoor)
    if (span < leastDifference)
      return {
        level: 'watch',
        words: `Return and outdoor air are only ${shownIn(units, span, '°F', 'difference', 0)} apart: this says nothing today.`,
        lines: [],
      }
    const share = outdoorShare(returnAir, mixed, outdoor)
    const error = (sensorError * (1 + Math.abs(share) + Math.abs(1 - share))) / span
    const lines = [
      { what: 'Outdoor air', value: percent(share) },
      { what: 'Give or take', value: percent(error, 0) },
    ]
    if (share < -error || share > 1 + error)
      return {
        level: 'act',
        words: 'Not possible: a sensor lies, or sits in the wrong stream of air.',
        lines,
      }
    if (share < 0.05) return { level: 'watch', words: 'Hardly any: the damper is shut, or stuck.', lines }
    return { level: 'good', words: 'Compare with what the damper is told to do.', lines }
  },
})
